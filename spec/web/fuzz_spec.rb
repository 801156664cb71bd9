# frozen_string_literal: true

require "web_helper"
require_relative "../support/fuzzing"

# Thousands of requests that nobody would send: no fault of ours, every refusal an Error, nothing of another gym's, no words of
# a database or of a person in the log. FUZZ_SEED and FUZZ_REQUESTS ask for others.
RSpec.describe "Fuzzed requests" do
  let(:seed) { Integer(ENV.fetch("FUZZ_SEED", "20261126")) }
  let(:requests) { Integer(ENV.fetch("FUZZ_REQUESTS", "5000")) }
  let(:loft) { gym }
  let!(:maren) { staff(loft) }
  let(:here) { [machine(loft), machine(loft, "shared_seat", name: "Station")] }
  let(:people) { [client(loft, maren, name: "Perpetua Lowe", stature: 1648), client(loft, maren, name: "Ione Fairweather", seat_to_kneecap: 580)] }
  let(:marks) { { "back pad" => "3", "roller" => "C", "start" => "3" } }
  let(:drafts) { people.map { |person| loft.fittings.open(client_id: person[:id], machine_id: here.first[:id], description_number: 1, marks: marks, by: maren).first } }
  let(:elsewhere) { gym("Elsewhere") }
  let(:theirs) { machine(elsewhere, name: "Zxsecret machine") }
  let(:hidden) { client(elsewhere, staff(elsewhere, email: "spy@elsewhere.example"), name: "Zxsecret Hidden", detail: "zxsecret") }

  def ids(*rows) = rows.map { |row| row[:id] }

  def fuzz
    clients = ids(*people, hidden)
    machines = ids(*here, theirs)
    Fuzz.new(seed: seed, ids: { "clients" => clients, "machines" => machines, "fittings" => ids(*drafts) },
             known: { "marks" => [marks], "version" => [1, 1, 2, 3], "client_id" => clients, "machine_id" => machines, "observation" => %w[stature seat_to_kneecap],
                      "caution" => %w[knee_replacement back pregnancy], "question" => %w[roller_extension tempo], "limit" => %w[straight_knee], "exercise" => ["", "curl", "extension"],
                      "family" => %w[extension curl lying_curl], "email" => ["maren@netloft.example"], "password" => [Given::PASSWORD, "guess"], "pin" => %w[2468 1357],
                      "account_id" => [maren],
                      "clients" => [ids(*people)], "name" => ["Ada", "back_face", "arm_length", "   "], "adjuster" => ["roller", "back pad", ""], "label" => %w[seat roller] })
  end

  it "never fail, whatever they hold" do
    told = StringIO.new
    allow_any_instance_of(Verglas::Web::Faults).to receive(:warn) { |_, line| told.puts(line) }
    faults = Fuzzing.new(app, fuzz, email: "maren@netloft.example", password: Given::PASSWORD, hidden: "zxsecret").run(requests)
    expect(faults).to be_empty, [*faults.first(20), told.string].join("\n")
    expect(told.string).to eq("")
  end
end
