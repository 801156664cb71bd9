# frozen_string_literal: true

require "spec_helper"
require "json"

# docs/advisories.md tells versions: those that are used. A package of the server that it does not name stops here.
RSpec.describe "Packages that meet what strangers send" do
  read = ->(path) { File.read(File.join(Verglas::ROOT, path)) }
  told = read.call("docs/advisories.md").scan(/^\| (\S+) \| (\d\S*) \|/).to_h
  gems = read.call("Gemfile.lock").scan(/^    (\S+) \(([\d.]+)/).to_h
  packages = JSON.parse(read.call("frontend/package.json"))["dependencies"]

  it "are told at the versions of the lock files" do
    expect(told.keys.to_h { |name| [name, gems[name] || packages[name]] }).to eq(told)
  end

  it "are all that the server uses of itself" do
    served = read.call("Gemfile").split(/^group/).first.scan(/^gem "([^"]+)"/).flatten
    own = %w[bootsnap rackup zeitwerk sequel_pg] # start the program, read our own files, or read the database's answers
    expect(served - told.keys - own).to eq([])
  end
end
