# frozen_string_literal: true

require "web_helper"

# Calf work on a press: an exercise of its own beside the press on one machine, from its bench to its log.
RSpec.describe "Calf work on a press over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { client(loft, account, sex: "woman", body_mass_kg: 66, stature: 1648, floor_to_knee_top: 519) }
  let(:loading) { { kind: "stack", unit: "kg", masses: (1..20).map { |step| step * 5 } } }
  let(:press) { machine(loft, "incline_sled", name: "Leg press 1", loading: loading) }

  before { sign_in }

  def opened(exercise = "calf", row: press)
    call(:post, "/api/fittings", { client_id: person[:id], machine_id: row[:id], exercise: exercise })["id"]
  end
  def page(id) = call(:get, "/api/fittings/#{id}")

  def accept(exercise, load_kg)
    shown = page(opened(exercise))
    work = { "load_kg" => load_kg, "repetitions" => 12, "sets" => 2, "last" => "clean" }
    call(
      :post,
      "/api/fittings/#{shown["id"]}/acceptance",
      { **sheet(shown), marks: shown["marks"], work: shown["work"].merge(work), reason: "As felt." }
    )
    expect(status).to eq(200), last_response.body
    shown["id"]
  end

  def caution(name, **fields)
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: name, version: nil, **fields })
    expect(status).to eq(201).or eq(200)
  end

  it "opens from the press's bench, tells its fit, its feet and its effort, and moves in the picture" do
    offered = page(opened(""))["emphases"].find { |one| one["name"] == "calf" }
    expect(offered).to include("title" => "Calf work", "closed" => [])
    shown = page(opened)
    expect(shown["machine"]["name"]).to eq("Leg press 1: calf work")
    expect(shown["evaluation"]["findings"].map { |one| one["code"] }).to eq(%w[calf_slack latch_room])
    steps = shown["steps"].to_h { |step| [step["id"], step] }
    expect(steps["stops"]["right"]).to eq("As high as still lets the heels down.")
    expect(steps["@light"].values_at("first", "notes").flatten.join(" ")).to include(
      "Balls of both feet on the plate's"
    )
    expect(steps["@watch"]["right"]).to match(/calf/i)
    scene = shown["evaluation"]["scene"]
    heels = scene["poses"].map { |pose| pose["deg"].find { |one| one["motion"] == "heel_drop" }["deg"] }
    expect(heels).to eq(heels.sort.reverse)
    expect(heels.minmax).to eq([-30, 10])
    expect(scene["effort"]["lines"].map { |line| line["joint"] }).to eq(["ankle"])
    bent = page(opened("calf_knees_bent"))
    knees =
      bent["evaluation"]["scene"]["poses"].map do |pose|
        pose["deg"].find { |one| one["motion"] == "knee_flexion" }["deg"]
      end
    expect(knees.uniq).to eq([20])
  end

  it "has marks, load and log of its own, and a line of its own on the card" do
    accept("", 60)
    accept("calf", 40)
    card = call(:get, "/api/clients/#{person[:id]}")["card"]
    expect(card.to_h { |line| [line["exercise"], line["accepted"]["load"]] }.keys).to contain_exactly("", "calf")
    stops =
      card.to_h { |line| [line["exercise"], line["accepted"]["marks"].find { |tag| tag["label"] == "stops" }["mark"]] }
    expect(stops["calf"]).to eq("4") # the highest
    expect(call(:get, "/api/clients/#{person[:id]}/card.txt")).to include("Leg press 1: calf work")
    work = page(opened("calf"))["work"]
    expect([work["load_kg"], page(opened(""))["work"]["load_kg"]]).to eq([40, 60])
  end

  it "is barred by what bars presses, and by an ankle until a clinician cleared it; the press stays open" do
    caution("ankle")
    line = page(opened(""))["emphases"].find { |one| one["name"] == "calf" }
    expect(line["closed"].join).to include("until a clinician has cleared it")
    bench = page(opened("calf"))
    expect([bench["bars"], page(opened(""))["bars"]]).to match([be_any, []])
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "knee", version: nil })
    expect(page(opened(""))["bars"]).to be_any
    expect(page(opened("calf"))["bars"].join).to match(/knee/i)
  end

  it "keeps to what a clinician allows of the ankle, and to ten degrees of bend for loose joints" do
    caution("loose_joints")
    shown = page(opened)
    deg = ->(motion) do
      page(shown["id"])["evaluation"]["scene"]["poses"].map do |pose|
        pose["deg"].find { |one| one["motion"] == motion }["deg"]
      end
    end
    expect(deg["knee_flexion"].uniq).to eq([10])
    degrees = { ankle_dorsiflexion: { from: nil, to: 3 } }
    caution("ankle", cleared_by: "Dr Fenwick", cleared_on: "2026-02-11", degrees: degrees)
    expect(deg["ankle_dorsiflexion"].max).to be <= 3
    expect(page(shown["id"])["bars"]).to eq([])
  end

  it "is where a seated calf raise sends somebody whom it does not fit" do
    press
    data = Worked::MACHINES.fetch("pad_on_lever")
    high = { constants: data["constants"].merge("pad_above_block" => 700), adjusters: data["adjusters"], exercises: {} }
    raised = loft.machines.insert(family: "calf_raise", name: "Calf raise 1", place: "by the door", description: high)
    shown = page(opened("", row: { id: raised }))
    expect(shown["advice"]["status"]).to eq("impossible")
    expect(shown["advice"]["instead"].map { |one| one.values_at("name", "exercise") }).to eq(
      [["Leg press 1: calf work", "calf"]]
    )
  end

  it "says nothing of a seated calf raise by what was lifted here, nor the other way round" do
    families = %w[calf_on_sled calf_on_stack calf_raise].map { |id| Verglas::Machines::Families.of_exercise(id) }
    expect(families.map { |one| Verglas::Application::StrengthLog.action(one) }).to eq([nil, nil, :calf])
    accept("calf", 90)
    raised = machine(loft, "pad_on_lever", name: "Calf raise 1", loading: loading)
    loads = call(:post, "/api/fittings/#{opened("", row: raised)}/loads", { repetitions: 10 })
    expect(loads["says"]).to start_with("Start at the lightest.")
  end

  it "takes half at most on one leg, as the press does" do
    one_legged = machine(loft, "incline_sled", name: "Leg press 2", one_leg: true, loading: loading)
    id = opened("calf", row: one_legged)
    said = ->(left) do
      loads = { wanted_kg: 80, left_kg: left, right_kg: 40, repetitions: 10 }
      call(:post, "/api/fittings/#{id}/loads", loads)["remarks"].grep(/One leg/)
    end
    expect([said.call(40), said.call(45)]).to eq([[], ["One leg takes half at most here: 40 kg."]])
    expect(
      page(id)["steps"].last["notes"].join(" ") + page(id)["steps"].map { |one| one["notes"] }.join(" ")
    ).to include("One leg at a time: at most half")
  end

  it "refuses an exercise that the machine does not have" do
    call(:post, "/api/fittings", { client_id: person[:id], machine_id: press[:id], exercise: "calf_back" })
    expect(status).to eq(422)
  end
end
