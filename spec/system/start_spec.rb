# frozen_string_literal: true

require "system_helper"
require_relative "../support/outside"
require_relative "../../demo/loader"

# The README's first command, from outside: it starts, says where, serves, stops all it started, and keeps the data.
RSpec.describe "bin/start" do
  let(:server) { Outside.kept }

  after { server.rest }

  # What is answered while it runs; it is stopped as Ctrl-C does.
  def served(*arguments)
    server.start(*arguments)
    server.sign_in(**Verglas::Demo::Loader::SIGN_IN)
    yield
    server.stop(:INT)
    expect(server.ended).to be_success
  end

  it "serves the demo gym, stops its database on Ctrl-C, keeps the data, and begins anew when asked" do
    served do
      expect(server.told).to include("maren@netloft.example", "mend the nets")
      expect(server.request(:get, "/").code).to eq("200")
      expect(server.request(:post, "/api/clients", { name: "Kept Person" }).code).to eq("201")
    end
    expect(server.cluster.running?).to be(false)
    served { expect(clients).to include("Kept Person") }
    served("fresh") { expect(clients).to include("Imre Talbot-Vane").and(not_include("Kept Person")) }
    log = File.join(server.folder, "log", "requests.log")
    lines = File.readlines(log).map { |line| JSON.parse(line) }
    expect(lines).to include(
      include(
        "method" => "POST",
        "path" => "/api/clients/search",
        "status" => 200,
        "account" => be_an(Integer),
        "request" => match(/\A\h{8}-/),
        "ms" => be_a(Float)
      )
    )
    expect(File.read(log)).not_to match(/Kept|Talbot/)
    expect(File.stat(log).mode & 0o777).to eq(0o640)
  end

  RSpec::Matchers.define_negated_matcher :not_include, :include

  def clients = server.request(:post, "/api/clients/search", { text: "" }).body
end
