# frozen_string_literal: true

RSpec.describe Verglas::Machines::Machine do
  let(:machine) { Worked.machine("slide_seat") }

  Worked
    .examples("parameters")
    .each do |example|
      it "agrees with the worked example on #{example["input"]["machine"]}" do
        machine = Worked.machine(example["input"]["machine"])
        parameters = machine.parameters(machine.indices(example["input"]["marks"]))
        example["expect"]["constants"].each do |name, value|
          expect(parameters[name.to_sym]).to be_within(0.1).of(value)
        end
        roller = machine.adjuster("roller")
        expect(roller.marks.each_index.map { |index| roller.pitch(index) }).to eq(example["expect"]["roller_pitch"])
      end
    end

  it "is its constants at the first marks" do
    expect(machine.parameters([0, 0, 0])).to eq(machine.constants)
  end

  it "moves two parameters unequally when an adjuster drives both" do
    swinging =
      Verglas::Machines::Adjuster.new(
        label: "arm",
        marks: %w[1 2],
        travel: [0.0, 10.0],
        drives: {
          roller_reach: 1,
          start_angle: -0.5
        },
        same_as: nil
      )
    parameters = machine.with(adjusters: [swinging]).parameters([1])
    expect(parameters.values_at(:roller_reach, :start_angle)).to eq([322.0, 73.0])
  end

  it "reads marks back from indices" do
    marks = { "seat" => "4", "back pad" => "C", "roller" => "III" }
    expect(machine.marks(machine.indices(marks))).to eq(marks)
  end

  it "wants every adjuster's mark, once, and nothing else" do
    {
      mark_missing: {
        "seat" => "4"
      },
      unknown_adjuster: {
        "seat" => "4",
        "lamp" => "1"
      },
      unknown_mark: {
        "seat" => "9",
        "back pad" => "C",
        "roller" => "I"
      }
    }.each do |code, marks|
      expect { machine.indices(marks) }.to raise_error(Verglas::Invalid) { |error| expect(error.code).to eq(code) }
    end
  end

  it "knows what its adjusters move, and what decides each: a back pad on a sliding seat sets the seat's length" do
    expect([machine.driven?(:seat_edge), machine.driven?(:start_angle)]).to eq([true, false])
    expect(machine.adjusters.map { |adjuster| machine.deciding(adjuster) }).to eq(%i[pivot crease contact])
    alone = machine.with(adjusters: machine.adjusters.drop(1))
    expect(alone.adjusters.map { |adjuster| alone.deciding(adjuster) }).to eq(%i[pivot contact])
  end

  it "refuses constants that are missing, unknown or out of range, with the place" do
    {
      "/constants" => machine.constants.except(:seat_edge),
      "/constants/roller_reach" => machine.constants.merge(roller_reach: 5),
      "/constants/lamp" => machine.constants.merge(lamp: 3)
    }.each do |path, constants|
      expect { machine.with(constants: constants) }.to raise_error(Verglas::Invalid) { |error|
        expect(error.path).to eq(path)
      }
    end
  end

  it "refuses two adjusters of one name, and one that drives what the family has not" do
    seat = machine.adjuster("seat")
    expect { machine.with(adjusters: [seat, seat]) }.to raise_error(Verglas::Invalid, /labels repeated/)
    expect { machine.with(adjusters: [seat.with(drives: { lamp: 1 })]) }.to raise_error(
      Verglas::Invalid,
      /unknown constant/
    )
  end

  it "refuses adjusters whose far marks leave the possible" do
    long = machine.adjuster("roller").with(travel: [0.0, 36.0, 70.0, 900.0])
    expect { machine.with(adjusters: [long]) }.to raise_error(Verglas::Invalid, /parameter out of range/)
  end
end
