# frozen_string_literal: true

require "system_helper"
require_relative "../support/outside"

# A gym's own server, from outside: empty, begun with the code of its console, kept, and its lead let in again.
RSpec.describe "bin/serve" do
  let(:server) { Outside.own }
  let(:password) { "a quay of salt stone" }

  after { server.destroy }

  def began(code)
    server.request(
      :post,
      "/auth/first",
      {
        code: code,
        gym: "The Rope Walk",
        locale: "en-GB",
        length_unit: "cm",
        name: "Ingrid Tarn",
        email: "ingrid@ropewalk.example",
        password: password
      }
    )
  end

  it "prints a code, serves the gym that was begun with it, keeps it, and gives a lead who is locked out a link" do
    server.start
    expect(server.told).not_to include("netloft")
    expect(began(server.told[/code: (\S+)/, 1]).code).to eq("200")
    expect(server.sign_in(email: "ingrid@ropewalk.example", password: password)).to be_a(String)
    expect(server.request(:post, "/api/clients", { name: "Kept Person" }).code).to eq("201")
    said, ended = server.command("ops/reset_lead.rb", "ingrid@ropewalk.example")
    expect([ended.success?, said]).to match([true, %r{\AFor Ingrid Tarn.*/welcome#\S{22}\n\z}])
    taken = server.request(:post, "/auth/link/taking", { secret: said[/#(\S+)/, 1], password: "heron on the slipway" })
    expect(taken.code).to eq("200")
    server.stop(:TERM)
    server.start
    expect(server.told).not_to include("code:")
    server.sign_in(email: "ingrid@ropewalk.example", password: "heron on the slipway")
    expect(server.request(:post, "/api/clients/search", { text: "" }).body).to include("Kept Person")
    said, ended = server.command("ops/reset_lead.rb", "nobody@ropewalk.example")
    expect([ended.success?, said]).to match([false, /nobody leads a gym here/])
  end

  it "lets go again whoever was erased, where the database was set back to a time before" do
    server.start
    began(server.told[/code: (\S+)/, 1])
    server.sign_in(email: "ingrid@ropewalk.example", password: password)
    made = JSON.parse(server.request(:post, "/api/clients", { name: "Gone Person" }).body)
    erasing = { version: 1, name: "Gone Person", keep_marks: false }
    Sequel.connect(server.cluster.owner_url("verglas")) do |db|
      row = db[:clients].where(id: made["id"]).select(*(db[:clients].columns - [:search_name])).first
      expect(server.request(:post, "/api/clients/#{made["id"]}/erasure", erasing).code).to eq("200")
      db[:clients].insert(row)
    end
    server.stop(:TERM)
    server.start
    expect(server.told).to include("1 who were erased since are gone again.")
    server.sign_in(email: "ingrid@ropewalk.example", password: password)
    expect(server.request(:post, "/api/clients/search", { text: "Gone" }).body).not_to include("Gone Person")
  end
end
