# frozen_string_literal: true

require "web_helper"
require_relative "../support/fuzzing"
require_relative "../support/known"

# Thousands of requests that nobody would send: no fault of ours, every refusal an Error, nothing of another gym's, no
# words of a database or of a person in the log. FUZZ_SEED and FUZZ_REQUESTS ask for others.
RSpec.describe "Fuzzed requests" do
  include Known

  let(:seed) { Integer(ENV.fetch("FUZZ_SEED", "20261126")) }
  let(:requests) { Integer(ENV.fetch("FUZZ_REQUESTS", "5000")) }

  # Mostly as who may do everything.
  { "lead" => 0.7, "instructor" => 0.1, "helper" => 0.1, "clinician" => 0.1 }.each do |role, share|
    it "never fail, whatever they hold, asked by a #{role}" do
      known = known_gym
      db[:accounts].where(id: known[:account]).update(role: role)
      faults, told = fuzzed(known, (requests * share).round)
      expect(faults).to be_empty, [*faults.first(20), told].join("\n")
      expect(told).to eq("")
    end
  end

  # What went wrong, and what was said of it in the log.
  def fuzzed(known, requests)
    told = StringIO.new
    allow_any_instance_of(Verglas::Web::Faults).to receive(:warn) { |_, line| told.puts(line) }
    faults =
      Fuzzing.new(
        app,
        fuzz_of(known, seed: seed),
        email: "maren@netloft.example",
        password: Given::PASSWORD,
        hidden: Known::HIDDEN
      ).run(requests)
    [faults, told.string]
  end
end
