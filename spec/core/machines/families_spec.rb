# frozen_string_literal: true

require_relative "../../contracts/family"

RSpec.describe Verglas::Machines::Families do
  machines = { extension: %w[slide_back slide_seat], curl: %w[curl_plain curl_slide], shin_held_curl: %w[curl_shin],
               lying_curl: %w[lie_flat lie_hinged] }
  stations = { combined: "shared_seat" }

  it "has a machine here for every family, so that each is held to the contract" do
    expect(described_class.all.map(&:id)).to match_array(machines.keys + stations.keys)
  end

  machines.each do |id, names|
    names.each do |name|
      describe "#{id}, #{name}" do
        let(:family) { described_class.fetch(id) }
        let(:machine) { Worked.machine(name) }
        let(:body) { Worked.body("middle") }

        it_behaves_like "a family"
      end
    end
  end

  stations.each do |id, name|
    it "reads every exercise of #{id}, each held to its own family's contract elsewhere" do
      data = Worked::MACHINES.fetch(name)
      described_class.fetch(id).exercises.each do |exercise, family|
        machine = Verglas::Machines::Reader.read(data, exercise: exercise)
        expect(machine.family).to eq(family)
        expect(described_class.fetch(id).shared(data) - machine.adjusters.map(&:label)).to be_empty
      end
    end
  end

  it "refuses a family whose groups name what it has not" do
    expect { described_class.fetch(:extension).with(joint: %i[lamp]) }.to raise_error(ArgumentError, /lamp/)
    expect { described_class.fetch(:extension).with(findings: { offset: :lamp }) }.to raise_error(ArgumentError, /lamp/)
  end
end
