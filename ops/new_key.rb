# frozen_string_literal: true

# What bin/new-key does: everything that lies encrypted is turned to a new key, or goes on being turned.
require "optparse"
require_relative "cluster"
require_relative "keys"

options = { turn: true }
begin
  OptionParser
    .new do |parser|
      parser.banner = "Usage: bin/new-key [--make | --turn]   (docs/security.md)"
      parser.on("--make", "only put a new key before the others in the key's file; then restart the server") do
        options = { make: true }
      end
      parser.on(
        "--turn",
        "only turn what lies under older keys; may run beside the server, be stopped and begun again"
      ) { options = { turn: true } }
    end
    .parse!
  keys = Verglas::Ops::Keys.new
  puts "The new key is #{keys.make}: restart the server, then run bin/new-key --turn." if options[:make]
  exit(keys.turn { |line| puts line }) if options[:turn]
rescue OptionParser::ParseError, Verglas::Ops::Cluster::Failure, SystemCallError, ArgumentError => e
  abort "verglas: #{e.message}"
end
