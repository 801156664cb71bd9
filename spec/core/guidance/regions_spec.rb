# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Guidance::Regions do
  families = Verglas::Machines::Families.single

  it "has a muscle that is meant to work on every family, named first, and joints last" do
    families.each do |family|
      meanings = described_class.of(family).map { |region| region.meaning(family) }
      expect(meanings.first).to eq(:works), family.id.to_s
      expect(meanings).to eq(meanings.sort_by { |meaning| described_class::MEANINGS.index(meaning) })
      expect(meanings.count(:joint)).to eq(3)
    end
  end

  it "expects no muscle for a purpose that no family has" do
    expect(described_class::ALL.values.flat_map(&:works) - families.map(&:purpose)).to be_empty
  end

  # What works on a family besides the muscle that is meant; what is felt elsewhere is a sign, an ache everywhere.
  {
    whole_leg: %w[back_thigh calf inner_thigh],
    whole_leg_standing: %w[back_thigh calf inner_thigh],
    whole_leg_hanging: %w[back_thigh calf inner_thigh],
    hip_standing: %w[front_thigh calf inner_thigh],
    back_of_thigh: %w[buttock calf],
    back_of_thigh_lying: %w[buttock calf],
    back_of_hip: %w[low_back_tired],
    back_of_thigh_raised: %w[calf],
    front_of_thigh: [],
    calf: [],
    side_of_hip: [],
    inside_of_thigh: []
  }.each do |purpose, helpers|
    it "takes what works too for no sign where the #{purpose} is meant: #{helpers.join(", ")}" do
      family = families.find { |one| one.purpose == purpose }
      meanings = described_class::ALL.transform_values { |region| region.meaning(family) }
      expect(meanings.select { |_, meaning| meaning == :helps }.keys.map(&:to_s)).to match_array(helpers)
      expect(meanings.values_at(:low_back, :knee)).to eq(%i[elsewhere joint])
    end
  end

  it "knows no other place" do
    expect { described_class.fetch("nose") }.to raise_error(Verglas::Invalid)
  end
end
