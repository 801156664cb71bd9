# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Guidance::Regions do
  families = Verglas::Machines::Families.single

  it "has a muscle that is meant to work on every family, named first, and joints last" do
    families.each do |family|
      meanings = described_class.of(family).map { |region| region.meaning(family) }
      expect(meanings.first).to eq(:works), family.id.to_s
      expect(meanings).to eq(meanings.sort_by { |meaning| %i[works elsewhere joint].index(meaning) })
      expect(meanings.count(:joint)).to eq(3)
    end
  end

  it "expects no muscle for a purpose that no family has" do
    expect(described_class::ALL.values.flat_map(&:works) - families.map(&:purpose)).to be_empty
  end

  it "takes a calf on a curl for a sign, a knee for a stop" do
    curl = Verglas::Machines::Families.fetch(:curl)
    expect(%w[back_thigh calf knee].map { |name| described_class.fetch(name).meaning(curl) }).to eq(%i[works elsewhere joint])
    expect { described_class.fetch("nose") }.to raise_error(Verglas::Invalid)
  end
end
