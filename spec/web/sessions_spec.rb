# frozen_string_literal: true

require "web_helper"
require "pdf/reader"
require_relative "../support/demo_gym"

# The demo gym, so that there are machines of every kind with people on them.
RSpec.describe "A client's session" do
  let!(:loft) { Verglas::Store::Gym.new(db, DemoGym.lay(db)) }
  let(:perpetua) { named("Perpetua Lowe") }
  let(:wishes) { { minutes: 30 } }

  before { sign_in(password: Verglas::Demo::Loader::SIGN_IN[:password]) }

  def named(name) = loft.clients.dataset.where(name: name).order(:created_at).get(:id)
  def plan(id = perpetua, **wished) = call(:post, "/api/clients/#{id}/session-plan", { **wishes, **wished })
  def names(plan) = plan["blocks"].flat_map { |block| block["members"].map { |one| one.dig("machine", "name") } }
  def key_of(plan, name) = members(plan).find { |one| one.dig("machine", "name") == name }.fetch("key")
  def members(plan) = plan["blocks"].flat_map { |block| block["members"] }
  def keep(id = perpetua, begins: true, **wished)
    call(:post, "/api/clients/#{id}/sessions", { **wishes, begins: begins, **wished })
  end
  # Two minutes there, with one set after the first.
  def visited(fitting, begun)
    id = SecureRandom.uuid
    by = db[:accounts].get(:id)
    visit = { id: id, **fitting.slice(:client_id, :machine_id, :exercise), fitting_id: fitting[:id], planned_kg: nil }
    loft.visits.add_all([{ **visit, begun_at: begun, last_at: begun + 120, by: by }])
    db[:sets].insert(
      gym_id: loft.id,
      visit_id: id,
      number: 1,
      repetitions: 10,
      done_at: begun + 60,
      done_by: by,
      clean: true,
      sends_back: false,
      **Verglas::Store::Sealed.columns(:sets, { how: { last: "clean", reached: 1.0, felt: nil, sign: nil } })
    )
  end
  def session(id) = call(:get, "/api/sessions/#{id}")
  def set(member, **said)
    call(
      :post,
      "/api/fittings/#{member["fitting_id"]}/sets",
      {
        load_kg: member["load_kg"],
        repetitions: member["repetitions"],
        last: "clean",
        reached: 1,
        felt: nil,
        sign: nil,
        leg: "",
        watched_by: nil,
        **said
      }
    )
    expect(status).to eq(201), last_response.body
  end

  it "fits into the time, in the order of ranks, and adds up to the second" do
    told = plan
    expect(status).to eq(200)
    expect(told["seconds"]).to be <= 30 * 60
    expect(names(told).first).to eq("Hack squat 1")
    told["blocks"].each_cons(2) do |one, other|
      expect(other["starts_s"]).to eq(one["starts_s"] + one["seconds"] + other["hop_s"])
    end
    told["blocks"].each { |block| expect(block["parts"].sum { |part| part["seconds"] }).to eq(block["seconds"]) }
    expect(told["seldom_s"]).to be > told["seconds"]
    expect(told["says"]).to match(/About \d+ minutes, seldom more than \d+/)
  end

  it "leaves out what somebody leaves out, keeps what they keep, and goes in the order they want" do
    before = plan(minutes: 60)
    squat = key_of(before, "Hack squat 1")
    expect(names(plan(minutes: 60, out: [squat]))).not_to include("Hack squat 1")
    last = members(before).last["key"]
    expect(names(plan(minutes: 5))).not_to include(members(before).last.dig("machine", "name"))
    expect(names(plan(minutes: 5, kept: [last]))).to include(members(before).last.dig("machine", "name"))
    moved = members(before).map { |one| one["key"] }.rotate
    expect(members(plan(minutes: 60, sequence: moved)).map { |one| one["key"] }).to eq(moved)
  end

  it "goes in another order by the gym's rule, and by what a client's own rule makes of a machine, and says why" do
    first = -> { plan(minutes: 60)["blocks"].first }
    why = ->(block) { block["why"].join(" ") }
    expect(why[first.call]).to include("several joints: first, while fresh")
    rule = ->(school) { call(:put, "/api/rules/session_order", { school: school, version: loft.versions[:rules] }) }
    rule["one_first"]
    told = plan(minutes: 60)["blocks"]
    expect(why[told.first]).to include("one joint: first, as the rule here has it")
    expect(told.last["members"].first.dig("machine", "name")).to eq("Hack squat 1")
    expect(why[told.last]).to include("after those that work one, as the rule here has it")
    rule["walks"]
    walked = plan(minutes: 60)["blocks"]
    expect(walked.sum { |block| block["hop_s"] }).to be <= told.sum { |block| block["hop_s"] }
    expect(why[walked.first]).to include("Where the walk is shortest")
    version = call(:get, "/api/clients/#{perpetua}/rules")["version"]
    call(:put, "/api/clients/#{perpetua}/rules/part_played", { school: "main", reason: "So.", version: version })
    expect(status).to eq(200), last_response.body
    expect(why[first.call]).to include("Main work by the rule here: early.")
  end

  it "counts setting up as long as it took here, by what is moved" do
    before = plan(minutes: 60)
    moved = ->(told) { told["blocks"].map { |block| block["parts"].to_h { |one| one.values_at("kind", "seconds") } } }
    curl = db[:machines].where(gym_id: loft.id, name: "Leg curl 1").get(:id)
    rows =
      db[:fittings].where(gym_id: loft.id, state: "accepted").order(:accepted_at).all.group_by { |row| row[:client_id] }
    both =
      rows.each_value.select do |own|
        [true, false].all? { |here| own.any? { |row| (row[:machine_id] == curl) == here } }
      end
    pairs = both.map { |own| own.partition { |row| row[:machine_id] == curl }.map(&:first) }
    label = pairs.first.first[:marks].keys.find { |name| pairs.map { |here, _| here[:marks][name] }.uniq.size > 1 }
    two = pairs.uniq { |here, _| here[:marks][label] }.first(2)
    60.times do |number|
      at = Time.now - 86_400 + (number * 600)
      here, left = two[number % 2]
      visited(left, at - 300)
      visited(here, at)
    end
    Verglas::Application::Kept.shared.empty
    learned = Verglas::Application::Sessions::SetUpTimes.of(loft)
    machine = Verglas::Application::Described.machine(loft.machines.find(curl), nil)
    expect(learned.adjusters(machine).fetch(label).first).to be > 12
    expect(moved[plan(minutes: 60)]).not_to eq(moved[before])
  end

  it "says what everything beside the line would cost, and what would save time in turn" do
    told = plan(named("Imre Talbot-Vane"), minutes: 12)
    expect(told["turns"].first["says"]).to match(/in turn.*instead of/)
    turned = plan(named("Imre Talbot-Vane"), minutes: 12, turns: [told["turns"].first["keys"]])
    expect(turned["blocks"].first["members"].size).to eq(2)
    # What is saved is time, or a set more in the same time.
    done = ->(one) { one["blocks"].sum { |block| block["sets"] * block["members"].size } }
    expect([-done[turned], turned["seconds"]] <=> [-done[told], told["seconds"]]).to eq(-1)
    short = plan(minutes: 10)
    beside = short["beside"].find { |one| one["why"] == "no_time" }
    expect(beside["seconds"]).to be_positive
    expect(beside["says"]).to include("One set costs")
  end

  it "does not offer two in turn to somebody with blood pressure" do
    expect(plan(named("Ósk Brannagh"), minutes: 60)["turns"]).to be_empty
    imre = named("Imre Talbot-Vane")
    keys = plan(imre)["turns"].first["keys"]
    call(:put, "/api/clients/#{imre}/cautions", { caution: "blood_pressure", version: nil })
    expect(status).to eq(200), last_response.body
    expect(plan(imre, turns: [keys])["blocks"].map { |block| block["members"].size }.uniq).to eq([1])
  end

  it "says what is missing where what is kept does not fit" do
    all = members(plan(minutes: 60)).map { |one| one["key"] }
    told = plan(minutes: 5, kept: all)
    expect(told["missing_s"]).to be_positive
    expect(told["blocks"]).to be_empty
    keep(minutes: 5, kept: all)
    expect(status).to eq(422)
    expect(db[:sessions].count).to eq(0)
  end

  it "runs: a set is counted where it was done, the rest is planned around a taken machine, what was left is kept" do
    begun = keep
    expect(status).to eq(201)
    first = begun["blocks"].first
    expect(begun.values_at("state", "current")).to eq(["running", first["keys"]])
    set(first["members"].first)
    running = session(begun["id"])
    expect(running["blocks"].first["done"].first.size).to eq(1)
    expect(running["blocks"].first["left"]).to eq([first["sets"] - 1])
    second = running["blocks"][1]["keys"]
    anew = call(:put, "/api/sessions/#{begun["id"]}", { minutes: 30, version: running["version"], taken: second })
    expect(status).to eq(200)
    expect(anew["blocks"].first["keys"]).to eq(first["keys"])
    expect(anew["blocks"][1]["keys"]).not_to eq(second)
    ended = call(:post, "/api/sessions/#{begun["id"]}/ending", { version: anew["version"] })
    expect(ended["state"]).to eq("done")
    expect(ended["left_out"].map { |one| one["why"] }).to include("time")
    expect(plan["blocks"]).not_to be_empty
  end

  it "takes what loads a joint out of the plan once it hurt" do
    begun = keep(minutes: 60)
    extension =
      begun["blocks"]
        .flat_map { |block| block["members"] }
        .find { |one| one.dig("machine", "name").include?("extension") }
    set(extension, felt: "knee")
    running = session(begun["id"])
    closed = running["blocks"].select { |block| block["closed"].first }
    expect(closed.map { |block| block["members"].first.dig("machine", "name") }).to include("Hack squat 1")
    expect(closed.flat_map { |block| block["left"] }.uniq).to eq([0])
    expect(running["current"]).to(satisfy { |keys| closed.none? { |block| block["keys"] == keys } })
    anew = call(:put, "/api/sessions/#{begun["id"]}", { minutes: 60, version: running["version"] })
    expect(names(anew)).not_to include("Hack squat 1")
    ended = call(:post, "/api/sessions/#{begun["id"]}/ending", { version: anew["version"] })
    expect(ended["left_out"].find { |one| one["name"] == extension.dig("machine", "name") }["why"]).to eq("hurt")
    expect(db[:sessions].get(:left_out_cipher)).not_to include("hurt")
  end

  it "lets one session of a client run, refuses what has ended, and never overwrites silently" do
    begun = keep
    keep
    expect(last_response.body).to include("session_runs")
    call(:put, "/api/sessions/#{begun["id"]}", { minutes: 20, version: begun["version"] })
    call(:put, "/api/sessions/#{begun["id"]}", { minutes: 25, version: begun["version"] })
    expect(status).to eq(409)
    version = session(begun["id"])["version"]
    call(:post, "/api/sessions/#{begun["id"]}/ending", { version: version })
    call(:put, "/api/sessions/#{begun["id"]}", { minutes: 25, version: version + 1 })
    expect(last_response.body).to include("session_done")
  end

  it "refuses a time that is none, an exercise twice and another client's programme" do
    [0, 4, 241, 30.5, "30"].each do |minutes|
      plan(minutes: minutes)
      expect(status).to eq(422), minutes.inspect
    end
    key = members(plan).first["key"]
    plan(kept: [key, key])
    expect(status).to eq(422)
    expect(plan(kept: [key.sub(/\A\h{8}/, "00000000")])["blocks"]).not_to be_empty
    other =
      call(
        :post,
        "/api/programmes",
        {
          name: "Imre's own",
          client_id: named("Imre Talbot-Vane"),
          days: [{ name: "A", exercises: [{ action: "press", part: "main", sets: 2 }] }]
        }
      )
    plan(programme_id: other["id"], day: 0)
    expect(status).to eq(422)
  end

  it "drops a machine that was retired meanwhile from a plan that was kept" do
    kept = keep(begins: false)
    machine = kept["blocks"].first["members"].first["machine"]["id"]
    db[:machines].where(id: machine).update(state: "retired")
    begun = call(:post, "/api/sessions/#{kept["id"]}/beginning", { version: kept["version"] })
    expect(begun["blocks"].map { |block| block["keys"] }).to eq(kept["blocks"].drop(1).map { |block| block["keys"] })
  end

  describe "from a programme" do
    def programme(*exercises, **more)
      call(
        :post,
        "/api/programmes",
        {
          name: "Two days a week",
          aim: nil,
          weeks: 8,
          begins_on: "2026-11-02",
          days: [{ name: "A", exercises: exercises }, { name: "B", exercises: exercises.take(1) }],
          **more
        }
      )
    end

    it "lands each action on the machine that serves this client, and says what none serves for" do
      made = programme({ action: "press", part: "main", sets: 3 }, { action: "knee_flexion", part: "extra", sets: 1 })
      expect(status).to eq(201)
      told = plan(programme_id: made["id"], day: 0, minutes: 60)
      expect(names(told).first).to match(/Leg press|Hack|Belt/)
      expect(members(told).size + told["beside"].count { |one| one["why"] == "no_machine" }).to eq(2)
      expect(told["blocks"].map { |block| block["sets"] }.max).to be <= 3
      expect(names(plan(programme_id: made["id"], day: 1, minutes: 60)).size).to eq(1)
    end

    it "goes on with the day after the one that was done last" do
      made = programme({ action: "knee_extension", part: "main", sets: 1 })
      next_day = -> { plan["programmes"].find { |one| one["id"] == made["id"] }["next"] }
      expect(next_day.call).to eq(0)
      begun = keep(programme_id: made["id"], day: 0, minutes: 60)
      call(:post, "/api/sessions/#{begun["id"]}/ending", { version: begun["version"] })
      expect(next_day.call).to eq(1)
    end

    it "is changed over the version that was seen, and removed" do
      made = programme({ action: "press", part: "main", sets: 3 })
      fields = made.slice("name", "days").merge("version" => 1, "name" => "Renamed")
      expect(call(:put, "/api/programmes/#{made["id"]}", fields)["name"]).to eq("Renamed")
      call(:put, "/api/programmes/#{made["id"]}", fields)
      expect(status).to eq(409)
      call(:post, "/api/programmes/#{made["id"]}/removal", { version: 2 })
      expect(call(:get, "/api/programmes")["programmes"].map { |one| one["id"] }).not_to include(made["id"])
    end
  end

  it "goes on through a first visit, machine by machine, each fitted on the way" do
    id = named("Ósk Brannagh")
    begun = keep(id, minutes: 40)
    expect(begun["first_visit"]).to be(true)
    planned = names(begun)
    expect(planned.size).to be > 3
    first = members(begun).first
    machine_id, exercise = first["key"].split("/", 2)
    page = call(:post, "/api/fittings", { client_id: id, machine_id: machine_id, exercise: exercise.to_s })
    sheet = call(:get, "/api/fittings/#{page["id"]}")
    call(
      :post,
      "/api/fittings/#{page["id"]}/acceptance",
      { **sheet.slice("marks", "aids", "version").transform_keys(&:to_sym), reason: "As far as it goes." }
    )
    expect(status).to eq(200), last_response.body
    after = session(begun["id"])
    expect(after["blocks"].first["left"]).to eq([0])
    expect(after["current"]).to eq(after["blocks"][1]["keys"])
    anew =
      call(
        :put,
        "/api/sessions/#{begun["id"]}",
        { minutes: 40, version: after["version"], out: [after["blocks"][1]["keys"].first] }
      )
    expect(names(anew) - planned).to eq([])
    expect(names(anew).size).to be >= planned.size - 1
  end

  it "tells each part of a first fitting with its seconds, and they are the block's" do
    block = plan(named("Ósk Brannagh"), minutes: 40)["blocks"].find { |one| one["parts"].first["kind"] == "change" }
    taken = block["parts"].to_h { |part| part.values_at("kind", "seconds") }
    expect(taken.keys).to eq(%w[change in look set watch accept out])
    expect(taken.values.sum).to eq(block["seconds"])
    told = block["why"].join(" ").scan(/(set up|look|light set|watch|accept) (\d+) s/).to_h
    expect(told.transform_values(&:to_i)).to eq(
      "set up" => taken["change"],
      "look" => taken["look"],
      "light set" => taken["set"],
      "watch" => taken["watch"],
      "accept" => taken["accept"]
    )
    again = plan["blocks"].first
    expect(again["parts"].map { |part| part["kind"] }).not_to include("look", "watch", "accept")
  end

  it "stands in the list of those that go on, with its client, and among the client's own" do
    begun = keep
    expect(call(:get, "/api/sessions")["sessions"].map { |one| one.values_at("id", "state") }).to eq(
      [[begun["id"], "running"]]
    )
    expect(call(:get, "/api/clients/#{perpetua}/sessions")["sessions"].size).to eq(1)
  end

  it "stands on the client's own card while it is of today, without what hurt" do
    db[:gyms].update(own_pages: true)
    link = call(:post, "/api/clients/#{perpetua}/links", {})
    begun = keep(minutes: 60)
    own = -> { call(:post, "/auth/own-card", { secret: link["address"][/#(.+)/, 1] }) }
    expect(own.call["session"].map { |one| one["name"] }).to eq(names(begun))
    extension = members(begun).find { |one| one.dig("machine", "name").include?("extension") }
    set(extension, felt: "knee")
    expect(own.call["session"].map { |one| one["name"] }).not_to include("Hack squat 1")
    call(:post, "/api/sessions/#{begun["id"]}/ending", { version: session(begun["id"])["version"] })
    expect(own.call["session"]).to eq([])
  end

  it "is a paper of one A5, with how one works on each machine and what holds on all of them once" do
    [perpetua, named("Imre Talbot-Vane"), named("Ósk Brannagh")].each do |id|
      kept = keep(id)
      call(:get, "/api/sessions/#{kept["id"]}/plan.pdf")
      pages = PDF::Reader.new(StringIO.new(last_response.body)).pages
      expect(pages.size).to eq(1), "#{kept["client"]["name"]}: #{pages.size} pages"
      printed = pages.map { |page| page.runs(merge: false).map(&:text).join }.join.delete(" ")
      told = members(kept).map { |one| one["how"] }
      told.flatten.each { |sentence| expect(printed).to include(sentence.delete(" ")) }
      told.inject(:&).each { |sentence| expect(printed.scan(sentence.delete(" ")).size).to eq(1) }
    end
  end

  it "learns how long things take here" do
    before =
      plan(minutes: 120)["blocks"].find { |block| block["members"].first.dig("machine", "name") == "Hack squat 1" }
    fitting = db[:fittings].first(id: before["members"].first["fitting_id"])
    30.times do |number|
      visit = loft.visits.begin(fitting, planned_kg: nil, since: Time.now + 3600, by: db[:accounts].get(:id))
      began = Time.now - ((number + 2) * 86_400)
      db[:visits].where(id: visit[:id]).update(begun_at: began, last_at: began + 700)
      [300, 650].each_with_index do |after, index|
        db[:sets].insert(
          gym_id: loft.id,
          visit_id: visit[:id],
          number: index + 1,
          repetitions: 10,
          clean: true,
          sends_back: false,
          done_by: db[:accounts].get(:id),
          done_at: began + after
        )
      end
    end
    Verglas::Application::Kept.shared.empty
    after =
      plan(minutes: 120)["blocks"].find { |block| block["members"].first.dig("machine", "name") == "Hack squat 1" }
    # The gap between two sets as the line draws it; what is told to rest stays what it was.
    gap = ->(block) { block["parts"].select { |part| %w[set rest].include?(part["kind"]) }.sum { |p| p["seconds"] } }
    told = ->(block) { block["members"].first.values_at("set_s", "rest_s").sum }
    set = before["members"].first["set_s"]
    expect(gap[after] - set).to be_within(1).of(((10 * told[before]) + (30 * 350)) / 40.0)
    expect(told[after]).to eq(told[before])
  end
end
