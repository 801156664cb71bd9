# frozen_string_literal: true

require "web_helper"
require_relative "../support/demo_gym"

# The demo gym: people with a log on some machines, and machines on which they never were.
RSpec.describe "A first load" do
  let!(:loft) { Verglas::Store::Gym.new(db, DemoGym.lay(db)) }
  let(:perpetua) { loft.clients.dataset.where(name: "Perpetua Lowe").get(:id) }

  before do
    # What machines are like is kept for an hour, and each example changes other loads of the same gym.
    Verglas::Application::Kept.shared.empty
    sign_in(password: Verglas::Demo::Loader::SIGN_IN[:password])
  end

  def here(name) = loft.machines.all.find { |row| row[:name] == name }
  def bench(name, id = perpetua) = call(:post, "/api/fittings", { client_id: id, machine_id: here(name)[:id] })["id"]
  def loads(fitting, **given) = call(:post, "/api/fittings/#{fitting}/loads", given)
  def kilograms(text) = text[/[\d.]+/].to_f

  # [load to begin with, low, high], as they are told.
  def told(loads)
    likely = loads["says"].match(/, ([\d.]+) to ([\d.]+) kg is likely here/).captures.map(&:to_f)
    [kilograms(loads["load"]["text"]), *likely]
  end

  it "is told by what is lifted elsewhere, below what is likely, with what it rests on" do
    first = loads(bench("Leg curl 1"))
    expect(first["likely"]).to be(true)
    begins, low, high = told(first)
    expect(begins).to be <= low
    expect(low).to be < high
    expect(first["says"]).to match(/By \d+ loads elsewhere/)
    # A curl is about six tenths of an extension.
    extension =
      db[:fittings].where(client_id: perpetua, machine_id: here("Leg extension 1")[:id], state: "accepted").all
    lifted = extension.filter_map { |row| Verglas::Store::Sealed.open(:fittings, row)[:work]["load_kg"] }.last
    expect((low + high) / 2 / lifted).to be_between(0.45, 0.9)
  end

  it "is the lightest, one step a set, with any caution, and where too little is known" do
    call(:put, "/api/clients/#{perpetua}/cautions", { caution: "ankle", version: nil })
    silent = loads(bench("Leg curl 1"))
    expect(silent["likely"]).to be(false)
    expect(silent["says"]).to start_with("Start at the lightest.")
    newcomer = client(loft, db[:accounts].where(gym_id: loft.id).get(:id), sex: "woman", stature: 1650)[:id]
    expect(loads(bench("Leg curl 1", newcomer))["likely"]).to be(false)
  end

  it "is told to nobody with a caution, whichever it is, and to nobody whom something bars" do
    fitting = bench("Leg curl 1")
    meeting = -> { Verglas::Application::Meeting.of(loft, fitting) }
    first = -> { Verglas::Application::FirstLoads.of(meeting.call) }
    expect(first.call).not_to be_nil
    Verglas::Guidance::Cautions::RULES.each_key do |name|
      by = db[:accounts].where(gym_id: loft.id).get(:id)
      fields = Verglas::Web::Inputs::Caution.fields({})
      loft.cautions.put(perpetua, name.to_s, by: by, version: nil, **fields)
      expect(first.call).to be_nil, name.to_s
      db[:client_cautions].where(client_id: perpetua).delete
    end
    expect(first.call).not_to be_nil
    db[:clients].where(id: perpetua).update(cautions_asked_on: nil)
    expect(meeting.call.bars).not_to be_empty
    expect(first.call).to be_nil
    expect(loads(fitting)["says"]).to start_with("Start at the lightest.")
  end

  it "leaves out sets that were taken back and those of one leg" do
    before = told(loads(bench("Leg curl 1")))
    row = db[:fittings].where(client_id: perpetua, machine_id: here("Leg extension 1")[:id], state: "accepted").first
    lightest = here("Leg extension 1")[:loading].to_h["masses"].min
    set = { load_kg: lightest, repetitions: 10, last: "clean", reached: 1, felt: nil, sign: nil, watched_by: nil }
    call(:post, "/api/fittings/#{row[:id]}/sets", { **set, leg: "left" })
    expect(told(loads(bench("Leg curl 1")))).to eq(before)
    call(:post, "/api/fittings/#{row[:id]}/sets", { **set, leg: "" })
    expect(status).to eq(201)
    expect(told(loads(bench("Leg curl 1")))[1]).to be < before[1]
    taken = db[:sets].where(leg: "", load_kg: lightest).get(:id)
    call(:post, "/api/sets/#{taken}/taking-back", {})
    expect(status).to eq(200), last_response.body
    expect(told(loads(bench("Leg curl 1")))).to eq(before)
  end

  it "asks about pin, unit and roller where a load lies three steps and more off what is likely" do
    fitting = bench("Leg curl 1")
    _, low, high = told(loads(fitting))
    off = ->(kg) { loads(fitting, wanted_kg: kg)["remarks"].grep(/steps off what is likely/) }
    expect(off[(low + high) / 2]).to eq([])
    expect(off[high * 3].first).to include("in which unit, and at the roller's mark")
    call(:put, "/api/clients/#{perpetua}/cautions", { caution: "ankle", version: nil })
    expect(off[high * 3]).to eq([])
  end

  it "stands in a plan beside a machine on which nobody fitted them, and is never above a clinician's kilograms" do
    plan = call(:post, "/api/clients/#{perpetua}/session-plan", { minutes: 90, kept: ["#{here("Leg curl 1")[:id]}/"] })
    member =
      plan["blocks"].flat_map { |block| block["members"] }.find { |one| one.dig("machine", "name") == "Leg curl 1" }
    expect(kilograms(member["load"])).to eq(told(loads(bench("Leg curl 1"))).first)
  end

  it "counts what a rail takes off a sled" do
    push = Verglas::Application::StrengthLog.method(:push)
    expect(push.call({ "incline_deg" => 30 })).to be_within(1e-9).of(0.5)
    expect(push.call({ "ratio" => 0.5 })).to eq(0.5)
    expect(push.call({})).to eq(1.0)
  end

  # What one says who was fitted on a machine and lifted its lightest there.
  def lightest_on(name)
    fitting = bench(name)
    page = call(:get, "/api/fittings/#{fitting}")
    accepting = { marks: page["marks"], version: page["version"], reason: "So." }
    call(:post, "/api/fittings/#{fitting}/acceptance", accepting)
    set = { repetitions: 10, last: "clean", reached: 1, felt: nil, sign: nil, watched_by: nil, leg: "" }
    load_kg = here(name)[:loading].to_h["masses"].min
    visit = call(:post, "/api/fittings/#{fitting}/sets", { **set, load_kg: load_kg })
    expect(status).to eq(201), last_response.body
    [fitting, visit["remarks"].join]
  end

  it "says that curls lie far from extensions by all that was lifted, on whichever machines, without any caution" do
    curls = loft.machines.all.select { |row| row[:name].match?(/curl \d/) && row[:loading].to_h["masses"] }
    fittings, remarks = curls.map { |row| lightest_on(row[:name]) }.transpose
    fitting = fittings.last
    expect(remarks.values_at(0, -1)).to match(["", /\ABy all their sets the curl is 0\.\d\d of the extension/])
    said = -> { loads(fitting)["remarks"].grep(/outside 0.45 to 0.90 with (\d+) of 100/) { Regexp.last_match(1).to_i } }
    expect(said.call).to match([be_between(75, 100)])
    call(:put, "/api/clients/#{perpetua}/cautions", { caution: "ankle", version: nil })
    expect(said.call).to eq([])
  end

  it "stands beside whoever waits: by the log who was loaded here, by what is likely who was not" do
    machine = here("Leg curl 1")
    fitting, = lightest_on("Leg extension 1")
    waits = ->(at) do
      path = "/api/machines/#{at[:id]}/queue"
      version = call(:get, path)["version"]
      call(:put, path, { clients: [perpetua], version: version })["entries"].first["load"]
    end
    expect(waits[machine]).to eq("from #{loads(bench("Leg curl 1"))["load"]["text"]}")
    today = call(:get, "/api/fittings/#{fitting}/set-up")["visit"]["today"]["load"]["text"]
    expect(waits[here("Leg extension 1")]).to eq(today)
  end
end
