# frozen_string_literal: true

RSpec.describe Verglas::Body::Estimation do
  Worked
    .examples("body")
    .reject { |example| example["expect"]["z_back"] }
    .each do |example|
      it "agrees with the worked example: #{example["what"]}, #{example["input"].slice("sex", "readings")}" do
        estimation = Worked.subjects.estimation(example["input"])
        expect_body(estimation.estimate, example["expect"])
        expect_reports(estimation.reports, example["expect"].fetch("reports", []))
      end
    end

  def expect_body(estimate, expected)
    expected["mean"].each { |name, value| expect(estimate.mean[name.to_sym]).to be_within(0.1).of(value) }
    expected["sd"].each { |name, value| expect(estimate.sd[name.to_sym]).to be_within(0.1).of(value) }
    sum = Verglas::Body.row(hip_depth: 1, thigh: 1)
    return unless expected["sd_hip_depth_plus_thigh"]
    expect(estimate.normal.sd(sum)).to be_within(0.1).of(expected["sd_hip_depth_plus_thigh"])
  end

  def expect_reports(reports, expected)
    expect(reports.size).to eq(expected.size)
    reports.zip(expected) do |report, wanted|
      expect([report.refused, report.marked]).to eq(wanted.values_at("refused", "marked"))
      expect(report.expected_mm).to be_within(0.1).of(wanted["expected"])
      expect(report.sigma_mm).to be_within(0.1).of(wanted["sigma"])
    end
  end

  it "catches nearly every slip of 100 mm once the stature is known" do
    random = Random.new(3)
    caught =
      Array.new(200) do
        value = 559.7 + ((random.rand - 0.5) * 20) + 100
        described_class
          .new(sex: "man", readings: [reading(:stature, 1760), reading(:floor_to_knee_top, value)])
          .reports
          .last
          .refused
      end
    expect(caught.count(true)).to be > 190
  end

  it "does not depend on the order of readings" do
    readings = [
      reading(:stature, 1702),
      reading(:seat_to_kneecap, 601),
      reading(:floor_to_knee_top, 540),
      reading(:thigh_depth, 141)
    ]
    means = readings.permutation.map { |order| described_class.new(sex: nil, readings: order).estimate.mean[:thigh] }
    expect(means.max - means.min).to be < 1e-6
  end

  it "refuses a stature that cannot be one, even confirmed, and goes on without it" do
    [1199, 2301].each do |stature|
      estimation = described_class.new(sex: "woman", readings: [reading(:stature, stature, confirmed: true)])
      expect(estimation.reports.first.refused).to be(true)
      expect(estimation.estimate.mean).to eq(described_class.new(sex: "woman").estimate.mean)
    end
  end

  it "doubles the soft parts' spread of a heavy body and nothing else" do
    light, heavy =
      [60, 110].map do |mass|
        described_class.new(sex: "man", body_mass_kg: mass, readings: [reading(:stature, 1750)]).estimate.sd
      end
    grown = heavy.select { |name, sd| sd > light[name] * 1.5 }.keys
    expect(grown).to contain_exactly(:hip_depth, :thigh_depth, :knee_under, :calf_half)
  end

  it "ties the segments to the stature" do
    skeleton = Verglas::Body.row(Verglas::Tables[:body][:skeleton][:row])
    expect(described_class.new(sex: nil).estimate.normal.expected(skeleton).abs).to be < 1e-9
  end

  it "names what is wrong with the input" do
    expect { described_class.new(sex: "other") }.to raise_error(Verglas::Invalid, /unknown sex/)
    expect { described_class.new(sex: nil, body_mass_kg: -1) }.to raise_error(Verglas::Invalid, /body mass/)
    expect { reading(:arm_span, 1700) }.to raise_error(Verglas::Invalid, /unknown observation/)
    expect { reading(:stature, Float::NAN) }.to raise_error(Verglas::Invalid, /not positive/)
  end
end
