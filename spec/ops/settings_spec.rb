# frozen_string_literal: true

require "spec_helper"
require_relative "../../ops/settings"

RSpec.describe Verglas::Ops::Settings do
  it "has a default for all of it" do
    settings = described_class.new({})
    expect([settings.port, settings.bind, settings.url]).to eq([4567, "127.0.0.1", nil])
    expect(settings.folder).to eq(File.join(Verglas::ROOT, "var/own"))
  end

  it "says in one line what is not as it has to be" do
    wrong = {
      { "PORT" => "80a" } => /PORT/,
      { "PORT" => "70000" } => /PORT/,
      { "SESSION_SECRET" => "short" } => /SESSION_SECRET.*64/,
      { "DATABASE_URL" => "mysql://x" } => /DATABASE_URL/
    }
    wrong.each { |given, said| expect { described_class.new(given) }.to raise_error(described_class::Failure, said) }
  end

  it "stands with every name in the page that says how to run it" do
    table = File.read(File.join(Verglas::ROOT, "docs", "operating.md"))
    expect(described_class::ALL.keys.reject { |name| table.include?("`#{name}`") }).to eq([])
  end
end
