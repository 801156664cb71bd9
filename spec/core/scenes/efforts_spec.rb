# frozen_string_literal: true

RSpec.describe "What a movement asks over its range, drawn" do
  # Whose pull is a cam that nobody taped, and of which no angle is claimed.
  silent = %i[hack_squat_towards]

  def self.machines
    Worked::MACHINES.keys.flat_map do |id|
      whole = Verglas::Machines::Families.fetch(Worked::MACHINES.fetch(id)["family"])
      whole.plain_exercises.keys.map do |exercise|
        [id, Verglas::Machines::Reader.read(Worked::MACHINES.fetch(id), exercise: exercise)]
      end
    end
  end

  machines.each do |id, machine|
    it "is told of #{machine.family.id} (#{id}), in N m or beside its own middle or most" do
      mechanics = Verglas::Mechanisms.for(machine, Worked.body("middle"), Worked.wishes(machine))
      place = mechanics.place(machine.parameters(machine.adjusters.map { 0 }))
      scene = Verglas::Scenes.of(mechanics, place).whole
      told = [scene.curve, scene.effort].compact.size
      expect(told).to eq(silent.include?(machine.family.id) ? 0 : 1)
    end
  end

  it "shades what goes slack, from where the machine says" do
    id = Worked::MACHINES.keys.find { |one| Worked::MACHINES.fetch(one)["family"] == "curl" }
    machine = Worked.machine(id)
    slack_from = ->(deg) do
      wishes = Verglas::Mechanisms::Wishes.for(machine.family, slack_from_deg: deg)
      mechanics = Verglas::Mechanisms.for(machine, Worked.body("middle"), wishes)
      place = mechanics.place(machine.parameters(machine.adjusters.map { 0 }))
      share = mechanics.slack_share(place) or next
      first, last = [0, share].map { |at| at_share(mechanics, place, at) }
      [share > 1, (mechanics.knee_bend_deg(mechanics.contact(place, last).shin_deg) - deg).abs < 1e-6, last > first]
    end
    expect([slack_from.call(nil), slack_from.call(85)]).to eq([nil, [true, true, true]])
  end

  # The arm's angle at a share of the client's way.
  def at_share(mechanics, place, share)
    place[:start_angle] + (share * (mechanics.turning(place).first - place[:start_angle]))
  end
end
