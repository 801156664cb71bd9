# frozen_string_literal: true

require "system_helper"
require_relative "../support/outside"
require_relative "../../demo/loader"
require_relative "../../ops/keys"

# A new key for what lies encrypted, as the page on security says how.
RSpec.describe "A new key" do
  let(:server) { Outside.kept }
  let(:file) { File.join(server.folder, "notes_key") }
  let(:keys) { Verglas::Ops::Keys.new({}, folder: server.folder) }

  after { server.rest }

  # What bin/new-key --turn does, in a process of its own.
  def turn
    program = "require './ops/keys'; exit Verglas::Ops::Keys.new(ENV, folder: ARGV[0]).turn { |line| puts line }"
    Open3.capture2e(
      Outside::ENVIRONMENT.merge("NOTES_KEY_FILE" => nil),
      RbConfig.ruby,
      "-rbundler/setup",
      "-e",
      program,
      server.folder,
      chdir: Verglas::ROOT
    )
  end

  def details
    JSON.parse(server.request(:post, "/api/clients/search", { text: "" }).body)["clients"].to_h do |client|
      client.values_at("name", "detail")
    end
  end

  it "is made, everything is turned to it beside the server, and the old one may go" do
    server.start
    server.sign_in(**Verglas::Demo::Loader::SIGN_IN)
    before = details
    expect(before.values).to include(be_a(String).and(satisfy { |detail| !detail.empty? }))
    old = File.read(file).strip
    expect(keys.make).to eq(1)
    expect([File.read(file).lines.size, File.read(file).lines.last.strip, File.stat(file).mode & 0o777]).to eq(
      [2, old, 0o600]
    )
    server.stop(:TERM)
    server.start
    said, status = turn
    expect(status).to be_success, said
    expect(said).to match(/clients: \d+ of \d+/).and include("Everything lies under the newest key")
    expect(details).to eq(before)
    File.write(file, File.read(file).lines.first)
    server.stop(:TERM)
    server.start
    expect(details).to eq(before)
    expect(turn.first).to include("Everything lies under the newest key (0 rows turned)")
  end

  it "is not made in silence where one is missing: the server says which and does not start" do
    server.start
    server.sign_in(**Verglas::Demo::Loader::SIGN_IN)
    before = details
    server.stop(:TERM)
    key = File.read(file)
    File.delete(file)
    said, status = server.again
    expect([status.success?, said, File.exist?(file)]).to match(
      [false, a_string_including("under the key with the id", "Nothing was changed."), false]
    )
    File.write(file, key)
    server.start
    expect(details).to eq(before)
  end

  it "is not made where the keys stand in the environment" do
    expect { Verglas::Ops::Keys.new({ "NOTES_KEY" => "0f" * 32 }, folder: server.folder).make }.to raise_error(
      ArgumentError,
      /NOTES_KEY is set/
    )
  end
end
