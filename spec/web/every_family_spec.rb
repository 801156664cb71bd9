# frozen_string_literal: true

require "web_helper"

# Every kind of machine the whole way: entered as one reads it off, taped length by length, fitted, accepted, set up
# again from the record.
RSpec.describe "Every family, from entering to the record" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) do
    client(
      loft,
      account,
      sex: "woman",
      body_mass_kg: 68,
      stature: 1700,
      seat_to_kneecap: 604,
      floor_to_knee_top: 541,
      thigh_depth: 130
    )
  end

  before { sign_in }

  # A machine of each family, as it is entered: [adjusters that all share, {exercise => adjusters of its own}], and what
  # is taped of it.
  def entered(family, data)
    kinds = [*family.shared_kinds, *family.exercises.values.flat_map(&:choosable_kinds)]
    typed =
      lambda do |adjusters|
        adjusters.map do |one|
          kind, forwards = Verglas::Machines::AdjusterKind.matching(kinds, one["drives"].transform_keys(&:to_sym))
          { label: one["label"], kind: kind.name, forwards: forwards, marks: one["marks"] }
        end
      end
    exercises =
      family
        .exercises
        .except(nil)
        .keys
        .to_h { |name| [name, { adjusters: typed[data.fetch("exercises", {}).dig(name, "adjusters").to_a] }] }
    { adjusters: typed[data["adjusters"]], exercises: exercises.empty? ? nil : exercises }
  end

  # [exercise, {name:, value:} or {adjuster:, travel:}] one after another.
  def lengths(family, data)
    family.exercises.flat_map do |exercise, one|
      own = data.fetch("exercises", {}).fetch(exercise, {})
      constants = { **data["constants"], **own.fetch("constants", {}) }.slice(*one.constants.keys.map(&:to_s))
      adjusters = [*data["adjusters"], *own["adjusters"]]
      moving =
        adjusters
          .reject { |adjuster| adjuster["drives"].empty? }
          .map { |adjuster| { adjuster: adjuster["label"], travel: adjuster["travel"] } }
      [*constants.map { |name, value| { name: name, value: value } }, *moving].map { |length| [exercise.to_s, length] }
    end
  end

  def open_bench(machine, exercise)
    call(:post, "/api/fittings", { client_id: person[:id], machine_id: machine, exercise: exercise })["id"]
  end

  def accepted(id)
    shown = call(:get, "/api/fittings/#{id}")
    sheet =
      shown.slice("version", "load", "signs", "note", "knee_off_mm", "roller_seen", "flow", "cue", "trail", "creep")
    advised = { marks: shown["marks"].merge(shown["advice"]["marks"]), aids: shown["advice"]["aids"] }
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      {
        **sheet,
        **advised,
        work: shown["work"].merge("last" => "clean", "repetitions" => 10, "sets" => 2),
        reason: "as tried"
      }
    )
  end

  it "has a machine here for each" do
    expect(Worked::BY_FAMILY.keys).to match_array(Verglas::Machines::Families.all.map(&:id))
  end

  Verglas::Machines::Families.all.each do |family|
    id = family.id

    it "takes #{id} the whole way" do
      data = Worked::BY_FAMILY.fetch(id).first
      made = call(:post, "/api/machines", { family: id, name: "Machine 1", **entered(family, data) })
      expect([status, made.dig("machine", "taped")]).to eq([201, "untaped"]), made.to_s
      machine = made["machine"]["id"]
      half_taped = Hash.new { |_, exercise| call(:get, "/api/fittings/#{open_bench(machine, exercise)}") }
      lengths(family, data)
        .shuffle(random: Random.new(id.to_s.sum))
        .each do |exercise, length|
          made =
            call(
              :put,
              "/api/machines/#{machine}/lengths",
              { version: made["version"], exercise: exercise, confirmed: true, **length }
            )
          expect(status).to eq(200), "#{length} #{made}"
          expect(half_taped[exercise]["steps"]).not_to be_empty, "#{length} #{half_taped}"
        end
      expect(made["machine"]["taped"]).to eq("taped")
      family.plain_exercises.each_key do |exercise|
        fitting = open_bench(machine, exercise.to_s)
        expect(call(:get, "/api/fittings/#{fitting}")["evaluation"]).to include("scene" => Hash, "findings" => be_any)
        done = accepted(fitting)
        expect(status).to eq(200), done.to_s
        record = call(:get, "/api/fittings/#{fitting}")
        list = call(:get, "/api/fittings/#{fitting}/set-up")
        expect(list["lines"].map { |line| line["mark"] }).to match_array(record["marks"].values)
        expect([list["bars"], call(:post, "/api/fittings/#{fitting}/set-up", {}) && status]).to eq([[], 200])
      end
    end
  end
end
