# frozen_string_literal: true

RSpec.describe Verglas::Body::CheckedFitting do
  def checked(machine: "leg extension", **given)
    described_class.new(
      machine: machine,
      back_face_mm: -523,
      pitch_back_mm: 25,
      knee_off_mm: 0,
      roller_reach_mm: 343,
      roller_radius_mm: 50,
      pitch_roller_mm: 25,
      contact_above_ankle_mm: 60,
      **given
    )
  end

  def estimation(*fittings, **readings)
    Verglas::Body::Estimation.new(
      sex: "woman",
      readings: readings.map { |name, value| reading(name, value) },
      checked: fittings
    )
  end

  it "agrees with the worked example: both rows from the mean before the fitting" do
    example = Worked.examples("body").find { |one| one["expect"]["z_back"] }["expect"]
    known = estimation(checked, stature: 1648)
    seat, roller = known.learned.first
    expect([seat.value_mm, seat.sd_mm, roller.value_mm, roller.sd_mm]).to match(
      example.values_at("z_back", "r_back", "z_roller", "r_roller").map { |value| be_within(0.1).of(value) }
    )
    expect(known.estimate.mean.values).to match(example["mean"].values.map { |value| be_within(0.1).of(value) })
    expect(known.estimate.sd.values).to match(example["sd"].values.map { |value| be_within(0.1).of(value) })
  end

  it "moves the thigh by what the knee was seen off the pivot" do
    on, ahead = [0, 12].map { |off| estimation(checked(knee_off_mm: off), stature: 1648).learned.first.first.value_mm }
    expect(ahead - on).to eq(12)
  end

  it "learns only what was seen" do
    expect(estimation(checked(roller_reach_mm: nil), stature: 1648).learned.first.size).to eq(1)
    expect(estimation(checked(back_face_mm: nil), stature: 1648).learned.first.size).to eq(1)
  end

  it "sharpens the body for the next machine, less where the notches are coarse" do
    before = estimation(stature: 1648).estimate
    fine, coarse = [10, 60].map { |pitch| estimation(checked(pitch_back_mm: pitch), stature: 1648).estimate }
    sd = ->(known) { known.normal.sd(Verglas::Body.row(hip_depth: 1, thigh: 1)) }
    expect([fine, coarse, before].map(&sd)).to eq([fine, coarse, before].map(&sd).sort)
  end

  it "counts a machine once" do
    expect { estimation(checked, checked) }.to raise_error(Verglas::Invalid, /checked twice/)
    expect(estimation(checked, checked(machine: "leg curl")).learned.size).to eq(2)
  end

  describe Verglas::Fitting::Checked do
    def taught(name, indices, **seen)
      machine = Worked.machine(name)
      evaluation =
        Verglas::Fitting::Evaluation.new(
          machine: machine,
          estimate: estimate(sex: "man", stature: 1760),
          wishes: Worked.wishes(machine),
          indices: indices
        )
      described_class.of(evaluation, machine: name, **seen)
    end

    it "reads the marks as lengths, with the pitch of the finest adjuster that moves the pad" do
      fitting = taught("slide_seat", [3, 4, 1], knee_off_mm: 0, roller_seen: true)
      expect([fitting.back_face_mm, fitting.pitch_back_mm, fitting.roller_reach_mm, fitting.pitch_roller_mm]).to eq(
        [-494 + 45 - 100, 15.0, 348.0, 35.0]
      )
    end

    it "teaches nothing unless somebody looked, and nothing of a bench" do
      expect(taught("slide_back", [2, 2, 2])).to be_nil
      expect(taught("lie_flat", [2], knee_off_mm: 0, roller_seen: true)).to be_nil
    end

    # A round trip: from an exactly known body, the marks that put its knee on the pivot give its own length back.
    it "gives back the length of a body whose knee is seen where the marks put it" do
      machine = Worked.machine("slide_back")
      body = Worked.body("middle")
      evaluation =
        Verglas::Fitting::Evaluation.new(
          machine: machine,
          estimate: Worked.exact("middle"),
          wishes: Worked.wishes(machine),
          indices: [2, 2, 2]
        )
      fitting = described_class.of(evaluation, machine: "m", knee_off_mm: evaluation.quantities[:knee_s_mm])
      expect(fitting.observations(body).first.value_mm).to be_within(1e-9).of(body.hip_depth + body.thigh)
    end
  end
end
