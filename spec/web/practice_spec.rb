# frozen_string_literal: true

require "web_helper"

# Practising on people who are made up: begun, done, looked at; nothing of it is the gym's.
RSpec.describe "Practising" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:helper) { staff(loft, email: "tobias@netloft.example", name: "Tobias Wren", role: "helper") }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:core) { Verglas::Practice::CorePlay }

  before { sign_in }

  def begun(**given)
    call(:post, "/api/practice/runs", { machine_id: here[:id], exercise: "", level: "usual", seed: 11, **given })
  end

  def act(run, action) = call(:post, "/api/practice/runs/#{run["id"]}/actions", { after: run["after"], deed: action })
  def row(run) = db[:practice_runs].first(id: run["id"])

  # As the core plays it.
  def played(run)
    while (step = core.step(Verglas::Application::Practising.play(row(run))))
      run = act(run, step)
    end
    run
  end

  it "shows somebody without a number, answers what is asked, and marks a play as the core's own with all marks" do
    run = begun
    expect(run).to include("asked" => nil, "over" => false, "looks" => [], "after" => 0)
    expect(run["scene"]).to include("dimensions" => [], "targets" => [], "lens" => nil)
    expect(run["readings"].map { |one| one["mm"] }.uniq).to eq([nil])
    over = played(run)
    expect(over).to include("over" => true, "total" => 100, "passed" => true)
    debrief = call(:get, "/api/practice/runs/#{run["id"]}/debrief")
    expect(debrief["steps"].filter_map { |step| step["instead"] }).to eq([])
    expect(debrief["parts"].map { |part| part["share"] }.uniq).to eq([1.0])
    expect(debrief["scene"]["dimensions"]).not_to be_empty
    expect(act(over, { do: "ask" })["code"]).to eq("practice_over")
  end

  it "tells step by step what the numbers said, and what was missed" do
    run =
      [{ do: "take", observation: "stature" }, { do: "watch", named: ["hips_lift"] }, { do: "accept" }].inject(
        begun
      ) { |so_far, action| act(so_far, action) }
    debrief = call(:get, "/api/practice/runs/#{run["id"]}/debrief")
    expect(debrief["caution"]).to include("never asked")
    expect(debrief["steps"].first).to include("did" => /Took Height: \d/, "instead" => "Ask about cautions.")
    expect(debrief["steps"][1]["remark"]).to include("Named, and not there: Hips lift")
    expect(run["total"]).to be < 80
  end

  it "withholds no caution of somebody made up from a helper, who has to act on it" do
    sign_in(email: "tobias@netloft.example")
    seed =
      (1..60).find do |one|
        machine = Verglas::Application::Described.machine(loft.machines.find(here[:id]), nil)
        Verglas::Practice::MadeUp.draw(machine, seed: one, level: "hard").caution
      end
    told = act(begun(level: "hard", seed: seed), { do: "ask" })["asked"]
    titles =
      Verglas::Guidance::Cautions::RULES.keys.map { |name| Verglas::Formats::Words.say("cautions.#{name}.title") }
    expect(titles.any? { |title| told.include?(title) }).to be(true)
  end

  it "learns and keeps nothing of it: no client, no fitting, no list tells of it" do
    kept = %i[clients fittings readings visits sets machines machine_descriptions]
    before = kept.map { |table| db[table].order(1).all }
    played(begun)
    expect(kept.map { |table| db[table].order(1).all }).to eq(before)
    call(:get, "/api/export/gym-with-health-notes.json")
    expect(last_response.body).not_to include("practice")
  end

  it "gives everybody the same ten, one run each, and lets a lead look at who practised" do
    call(
      :post,
      "/api/practice/tasks",
      { name: "First week", level: "plain", machines: [{ machine_id: here[:id], exercise: "" }] }
    )
    task = call(:get, "/api/practice")["tasks"].first
    expect(task["numbers"].size).to eq(10)
    mine = call(:post, "/api/practice/runs", { task_id: task["id"], number: 3 })
    expect(call(:post, "/api/practice/runs", { task_id: task["id"], number: 3 })["id"]).to eq(mine["id"])
    sign_in(email: "tobias@netloft.example")
    theirs = call(:post, "/api/practice/runs", { task_id: task["id"], number: 3 })
    expect([theirs["seed"] == mine["seed"], theirs["id"] == mine["id"]]).to eq([true, false])
    expect(theirs["scene"]).to eq(mine["scene"])
    expect([call(:get, "/api/practice/runs/#{mine["id"]}")["code"], status]).to eq(["not_found", 404])
    played(theirs)
    expect(call(:get, "/api/practice")["people"]).to eq([])
    expect([call(:post, "/api/practice/people/#{helper}/look", {})["code"], status]).to eq(["lead_only", 403])
    sign_in
    expect(call(:get, "/api/practice")["people"]).to contain_exactly(
      include("name" => "Tobias Wren", "done" => 1, "passed" => 1, "mean" => 100, "looked_by" => nil)
    )
    looked = call(:post, "/api/practice/people/#{helper}/look", {})
    expect(looked["people"].first).to include("looked_by" => "Maren Oldcastle", "looked_at" => be_a(String))
    expect(call(:post, "/api/practice/tasks/#{task["id"]}/removal", {})["tasks"]).to eq([])
    expect(db[:practice_runs].count).to eq(2)
  end

  it "tells the load to begin with: no heavier than with anybody, and none that the machine does not have" do
    loft.machines.update(
      here[:id],
      version: 1,
      by: account,
      loading: {
        kind: "stack",
        unit: "kg",
        masses: (1..20).map { 5 * _1 }
      },
      description: {
        constants: here[:constants],
        adjusters: here[:adjusters],
        exercises: {
        },
        taped: {
        }
      }
    )
    run = begun(level: "plain")
    expect(run["loads"]).to eq((1..20).map { 5.0 * _1 })
    expect(act(run, { do: "load", kg: 7 })["code"]).to eq("load_not_there")
    careless = [{ do: "ask" }, { do: "load", kg: 100 }, { do: "accept" }]
    heavy = careless.inject(run) { |so_far, action| act(so_far, action) }
    told = call(:get, "/api/practice/runs/#{heavy["id"]}/debrief")
    expect(told["parts"].find { |part| part["name"] == "load" }["share"]).to eq(0)
    expect(played(begun(level: "plain", seed: 12))["total"]).to eq(100)
  end

  it "stays what it was when the machine is taped anew" do
    run = begun
    described = {
      constants: here[:constants].to_h.merge("back_face" => -380),
      adjusters: here[:adjusters],
      exercises: {
      },
      taped: {
      }
    }
    loft.machines.update(here[:id], version: 1, by: account, description: described)
    expect(call(:get, "/api/practice/runs/#{run["id"]}")["scene"]).to eq(run["scene"])
  end

  it "refuses what cannot be, what came from a page that is old, and goes on without end for nobody" do
    run = begun
    [
      { do: "set", marks: { "wing" => "1" } },
      { do: "watch", named: ["sings"] },
      { do: "cue", cue: "jump" },
      { do: "set" },
      { do: "dance" }
    ].each do |action|
      act(run, action)
      expect(status).to eq(422)
    end
    act(run, { do: "ask" })
    expect([act(run, { do: "ask" })["code"], status]).to eq(["practice_went_on", 409])
    expect(row(run)[:actions].size).to eq(1)
    db[:practice_runs].update(actions: Sequel.pg_json([{ do: "ask" }] * 60))
    expect(act(run.merge("after" => 60), { do: "ask" })["code"]).to eq("practice_long")
    expect(begun(level: "easy") && status).to eq(422)
    bare = machine(loft, "slide_back", name: "Untaped")
    db[:machine_descriptions].where(machine_id: bare[:id]).update(constants: Sequel.pg_json({}))
    expect(begun(machine_id: bare[:id])["code"]).to eq("not_practicable")
  end
end
