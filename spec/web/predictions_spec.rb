# frozen_string_literal: true

require "web_helper"

# What is predicted for a client on every machine of the gym is what the bench then advises.
RSpec.describe "Predictions over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:person) do
    client(loft, account, sex: "woman", body_mass_kg: 68, stature: 1648, seat_to_kneecap: 576, floor_to_knee_top: 519)
  end

  before { sign_in }

  def predictions(who = person) = call(:get, "/api/clients/#{who[:id]}/predictions")["predictions"]
  def on(row, exercise = "")
    predictions.find { |one| one.values_at("machine_id", "exercise") == [row[:id], exercise] }
  end
  def bench(machine, exercise)
    made = call(:post, "/api/fittings", { client_id: person[:id], machine_id: machine, exercise: exercise })
    call(:get, "/api/fittings/#{made["id"]}")
  end

  it "are what the bench advises, on a machine of each family and each exercise of a station" do
    Worked::MACHINES.keys.each_with_index { |name, index| machine(loft, name, name: "Machine #{index}") }
    told = predictions
    expect(told.size).to eq(
      Worked::MACHINES.each_value.sum { |data| Verglas::Machines::Families.fetch(data["family"]).exercises.size }
    )
    told.each do |one|
      advice = bench(*one.values_at("machine_id", "exercise"))["advice"]
      placed, marks = one["marks"].partition { |tag| tag["label"].start_with?("@") }
      expect(marks.to_h { |tag| tag.values_at("label", "mark") }).to eq(advice["marks"]), one.to_s
      expect(placed.map { |tag| tag["mark"].to_i }).to eq(
        placed.map { |tag| advice["aids"][tag["label"].delete_prefix("@")].to_i }
      )
      expect(one.values_at("status", "grade")).to eq(advice.values_at("status", "grade"))
    end
    expect(told.map { |one| one["from"] }.uniq).to eq(["predicted from the tape"])
  end

  it "say why not where a caution bars, and nothing of what is not taped" do
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "knee_ligament", version: nil })
    curl = machine(loft, "curl_plain", name: "Leg curl 1")
    untaped = loft.machines.find(loft.machines.insert(family: "abduction", name: "Hip abduction 1", description: {}))
    expect(on(curl)).to include("status" => nil, "marks" => [], "bars" => [a_string_including("Knee ligament")])
    expect(on(untaped)).to include("status" => nil, "marks" => [], "bars" => [])
  end

  it "are kept until body, cautions, rules, machines or what the gym owns change, and then made anew" do
    here = machine(loft, "slide_back", name: "Leg extension 1")
    made = 0
    allow(Verglas::Web::Views::Predictions).to(
      receive(:computed).and_wrap_original { |original, *given| (made += 1) && original.call(*given) }
    )
    version = -> { call(:get, "/api/clients/#{person[:id]}")["client"]["version"] }
    changes = [
      -> {},
      -> do
        call(
          :put,
          "/api/clients/#{person[:id]}/readings/thigh_depth",
          { value: 15.5, unit: "cm", version: version.call }
        )
      end,
      -> { call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "loose_joints", version: nil }) },
      -> { call(:put, "/api/rules/extension_roller", { school: "hand_above", version: 1 }) },
      -> do
        call(
          :put,
          "/api/machines/#{here[:id]}/lengths",
          { exercise: "", name: "back_face", value: -470, version: 1, confirmed: true }
        )
      end,
      -> do
        call(
          :patch,
          "/api/machines/#{here[:id]}",
          { state: "out_of_order", version: loft.machines.find(here[:id])[:version] }
        )
      end,
      -> do
        call(:put, "/api/gym/cautions/loose_joints", { stricter: true, version: call(:get, "/api/rules")["version"] })
      end,
      -> { loft.equipment.replace({ "cushion_back" => [20] }) },
      -> { call(:patch, "/api/clients/#{person[:id]}", { body_mass_kg: 90, version: version.call }) }
    ]
    counts =
      changes.map do |change|
        change.call
        2.times { predictions }
        made
      end
    expect(counts).to eq([1, 2, 3, 4, 5, 6, 7, 8, 9])
  end

  it "name the gym's other machine where one does not fit" do
    short = client(loft, account, name: "Dagny Holm-Reyes", sex: "woman", stature: 1380)
    machine(loft, "shoulder_sled", name: "Hack squat 1")
    belt = machine(loft, "chain_on_lever", name: "Belt squat 1")
    told = predictions(short).to_h { |one| [one["machine_id"], one] }
    expect(told[belt[:id]]["status"]).to eq("fits")
    expect(told.except(belt[:id]).values.first).to include("status" => "impossible", "instead" => ["Belt squat 1"])
  end

  it "ask the database no more for many machines than for two" do
    count =
      lambda do
        statements = 0
        logger = Object.new.tap { |one| one.define_singleton_method(:info) { |_| statements += 1 } }
        db.loggers << logger
        predictions
        statements
      ensure
        db.loggers.delete(logger)
      end
    %w[pad_and_angle slide_back].each { |name| machine(loft, name, name: name) }
    count.call # what is prepared once
    few = count.call
    %w[level_pad round_pad curl_plain incline_sled arms_turned_in].each { |name| machine(loft, name, name: name) }
    expect(count.call).to eq(few)
  end

  it "are of one's own gym's people only" do
    stranger = client(gym("Elsewhere"), staff(gym("Far"), email: "x@far.example"), name: "Nobody here")
    expect(call(:get, "/api/clients/#{stranger[:id]}/predictions")["code"]).to eq("not_found")
  end
end
