# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Requirement do
  let(:known) { estimate(sex: "man", stature: 1822, seat_to_kneecap: 641) }

  def requirement(machine, label, indices)
    described_class.of(
      machine: machine,
      estimate: known,
      wishes: Worked.wishes(machine),
      indices: indices,
      adjuster: machine.adjuster(label)
    )
  end

  # Put a machine's constant where the requirement asks and look whether the target is met.
  def quantities_with(machine, indices, **changed)
    mechanics = Verglas::Mechanisms.for(machine, known.dimensions, Worked.wishes(machine))
    mechanics.quantities(mechanics.place(machine.parameters(indices).merge(changed)))
  end

  it "asks for the back pad that brings the knee level with the pivot" do
    machine = Worked.machine("slide_back")
    asked = requirement(machine, "back pad", [2, 2, 2])
    expect(asked.decided_by).to eq(:pivot)
    expect(quantities_with(machine, [2, 2, 2], back_face: asked.mean)[:knee_s_mm]).to be_within(1e-6).of(0)
  end

  it "asks for the roller that touches where it is wanted, for knees on and off the pivot" do
    %w[slide_back curl_plain].each do |name|
      machine = Worked.machine(name)
      [[2, 2, 2], [0, 2, 2], [4, 1, 1]].each do |indices|
        asked = requirement(machine, "roller", indices)
        expect(quantities_with(machine, indices, roller_reach: asked.mean)[:contact_error_mm]).to be_within(1e-6).of(0)
      end
    end
  end

  it "asks for the start that bends the knee as wanted, whichever side the roller is" do
    { "slide_back" => "start", "curl_slide" => "start" }.each do |name, label|
      machine = Worked.machine(name)
      indices = machine.adjusters.map { 1 }
      asked = requirement(machine, label, indices)
      bend = quantities_with(machine, indices, start_angle: asked.mean)[:knee_bend_start_deg]
      expect(bend).to be_within(1e-6).of(machine.family.wishes[:start_bend_deg].default)
    end
  end

  it "lets a back pad on a sliding seat set the seat's length, and the seat the pivot" do
    machine = Worked.machine("slide_seat")
    expect(machine.adjusters.map { |adjuster| machine.deciding(adjuster) }).to eq(%i[pivot crease contact])
    asked = requirement(machine, "back pad", [3, 3, 2])
    edge = machine.parameters([3, 3, 2])[:seat_edge]
    gap = quantities_with(machine, [3, 3, 2], back_face: edge + asked.mean)[:crease_gap_mm]
    expect(gap).to be_within(1e-6).of(5)
  end

  it "adds 4 mm for each taped constant to what the body leaves open" do
    machine = Worked.machine("slide_back")
    asked = requirement(machine, "back pad", [2, 2, 2])
    expect(asked.sd).to be_within(1e-9).of(Math.sqrt(known.normal.variance(asked.gradient) + 16))
  end

  it "asks of a lying curl's roller what the seated one is asked" do
    machine = Worked.machine("lie_flat")
    asked = requirement(machine, "roller", [2])
    expect(quantities_with(machine, [2], roller_reach: asked.mean)[:contact_error_mm]).to be_within(1e-6).of(0)
  end

  it "asks nothing of an adjuster whose mark is only recorded" do
    machine = Worked.machine("curl_shin")
    expect(requirement(machine, "shin pad", [3, 2, 0])).to be_nil
  end

  it "presses the thigh pad as wanted" do
    machine = Worked.machine("curl_plain")
    asked = requirement(machine, "thigh pad", [3, 2, 4])
    expect(quantities_with(machine, [3, 2, 4], thigh_pad_height: asked.mean)[:thigh_press_mm]).to be_within(1e-9).of(6)
  end
end
