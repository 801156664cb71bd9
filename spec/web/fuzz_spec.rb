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

  it "never fail, whatever they hold" do
    told = StringIO.new
    allow_any_instance_of(Verglas::Web::Faults).to receive(:warn) { |_, line| told.puts(line) }
    faults =
      Fuzzing.new(
        app,
        fuzz_of(known_gym, seed: seed),
        email: "maren@netloft.example",
        password: Given::PASSWORD,
        hidden: Known::HIDDEN
      ).run(requests)
    expect(faults).to be_empty, [*faults.first(20), told.string].join("\n")
    expect(told.string).to eq("")
  end
end
