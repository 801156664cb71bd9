# frozen_string_literal: true

# What bin/start does once everything is installed.
require "optparse"
require_relative "cluster"
require_relative "demo_gym"
require_relative "server"

options = { fresh: false, port: 4567 }
begin
  OptionParser
    .new do |parser|
      parser.banner = "Usage: bin/start [--fresh] [--port N]"
      parser.on("--fresh", "forget all data and load the demo gym anew") { options[:fresh] = true }
      parser.on("--port N", Integer, "port of the web server (default 4567, or the next free one)") do |port|
        options[:port] = port
      end
    end
    .parse!
  Verglas::Ops::Server.new(scenario: Verglas::Ops::DemoGym.new, **options).run
rescue OptionParser::ParseError, Verglas::Ops::Cluster::Failure, SystemCallError, SocketError => e
  abort "verglas: #{e.message}"
rescue StandardError => e
  raise unless defined?(Verglas::Store::KeyCheck::Failure) && e.is_a?(Verglas::Store::KeyCheck::Failure)

  abort "verglas: #{e.message}"
end
