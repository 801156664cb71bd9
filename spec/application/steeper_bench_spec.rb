# frozen_string_literal: true

require "web_helper"

RSpec.describe Verglas::Application::SteeperBench do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { client(loft, account, name: "Imre Talbot-Vane", sex: "man", stature: 1790) }
  let!(:flat) { bench("Hip bench 1", 30) }

  def bench(name, deg)
    data = Worked::MACHINES.fetch("pad_and_angle")
    fixed = data["adjusters"].reject { |adjuster| adjuster["drives"].key?("bench_angle") }
    id =
      loft.machines.insert(
        family: data["family"],
        name: name,
        place: "by the windows",
        description: {
          constants: data["constants"].merge("bench_angle" => deg),
          adjusters: fixed
        }
      )
    loft.machines.find(id)
  end

  def told(row, caution = "back", **fields)
    loft.cautions.put(person[:id], caution, version: nil, by: account, note: "", **fields)
    meeting = Verglas::Application::Meeting.new(loft, client: loft.clients.find(person[:id]), machine_row: row)
    Verglas::Application::Told::Manner.of(meeting.caution_effect, meeting).grep(/\ASteeper/)
  end

  it "is named by a caution that asks for the steepest, and not on the steepest itself" do
    %w[shared_seat one_plate].each { |name| machine(loft, name, name: name) } # several exercises on one machine
    steep = bench("Hip bench 2", 55)
    expect(told(flat)).to eq(["Steeper, so first: Hip bench 2, by the windows."])
    loft.cautions.remove(person[:id], "back", version: 1, by: account, reason: "Again.")
    expect(told(steep)).to eq([])
  end

  it "is none that is flatter, out of order or barred" do
    bench("Hip bench 2", 20)
    steep = bench("Hip bench 3", 55)
    loft.machines.update(steep[:id], version: 1, by: account, state: "out_of_order")
    expect(told(flat)).to eq([])
    loft.machines.update(steep[:id], version: 2, by: account, state: "in_use", user_mass_limit_kg: 60)
    loft.clients.update(person[:id], version: 1, body_mass_kg: 90)
    loft.cautions.remove(person[:id], "back", version: 1, by: account, reason: "Again.")
    expect(told(flat)).to eq([])
  end
end
