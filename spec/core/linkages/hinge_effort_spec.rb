# frozen_string_literal: true

RSpec.describe Verglas::Linkages::HingeEffort do
  let(:body) { Worked.body("middle") }

  # Height of all that weighs (kg m) over a joint, from each part's own place: what the torque is the slope of.
  def height(parts, deg) = parts.sum { |kg, along_mm| kg * along_mm / 1000.0 * Math.sin(deg * Math::PI / 180) }

  def slope(parts, deg) = 9.80665 * (height(parts, deg + 0.01) - height(parts, deg - 0.01)) / (0.02 * Math::PI / 180)

  it "is the slope of the potential energy, about the hip and about the knee, on random people" do
    random = Random.new(17)
    100.times do
      one = random_body(random)
      mass = 45 + (random.rand * 70)
      held = random.rand * 25
      deg = -60 + (random.rand * 130)
      trunk = [[0.678 * mass, 0.575 * one.torso], [held, 0.9 * one.torso]]
      expect(described_class.hip_nm(one, mass_kg: mass, held_kg: held, trunk_deg: deg)).to be_within(0.01).of(
        slope(trunk, deg)
      )
      whole = [[0.678 * mass, one.thigh + (0.575 * one.torso)], [0.2 * mass, one.thigh * (1 - 0.433)]]
      expect(described_class.knee_nm(one, mass_kg: mass, body_deg: deg)).to be_within(0.01).of(slope(whole, deg))
    end
  end

  it "asks most of a level trunk, nothing of an upright one, and at the top of a 60 degree bench 0.58 of what a 30 " \
       "degree one does" do
    at = ->(deg) { described_class.hip_nm(body, mass_kg: 80, trunk_deg: deg) }
    expect((-60..60).map { |deg| at[deg] }.max).to eq(at[0])
    expect(at[90]).to be_within(1e-9).of(0)
    expect(at[60] / at[30]).to be_within(0.005).of(0.58)
  end

  it "takes a band's pull times its lever off the knee" do
    plain = described_class.knee_nm(body, mass_kg: 92, body_deg: 30)
    expect(
      plain - described_class.knee_nm(body, mass_kg: 92, body_deg: 30, band_n: 150, band_lever_mm: 600)
    ).to be_within(1e-9).of(90)
  end

  it "calls a knee low, level or high over the pad's middle" do
    over = described_class.knee_over_pad_mm(body, plate_to_pad_mm: 500, sole_mm: 25)
    expect(over).to be_within(1e-9).of(body.ankle_height + 25 + body.shank - 500)
    expect([-21, -20, 20, 21].map { |mm| described_class.knee_place(mm) }).to eq(%i[low level level high])
  end
end
