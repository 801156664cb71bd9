# frozen_string_literal: true

require "web_helper"
require_relative "../support/demo_gym"

# What could hurt somebody in a session or a group is closed by default, whichever caution they have.
RSpec.describe "Sessions and groups" do
  let!(:loft) { Verglas::Store::Gym.new(db, DemoGym.lay(db)) }
  let(:perpetua) { named("Perpetua Lowe") }
  let(:rules) { Verglas::Guidance::Cautions::RULES }

  before { sign_in(password: Verglas::Demo::Loader::SIGN_IN[:password]) }

  def named(name) = loft.clients.dataset.where(name: name).get(:id)
  def station(name) = "#{db[:machines].where(name: name).get(:id)}/"
  def plan(id = perpetua, **wished) = call(:post, "/api/clients/#{id}/session-plan", { minutes: 240, **wished })
  def members(plan) = plan["blocks"].flat_map { |block| block["members"] }
  def names(plan) = members(plan).map { |one| one.dig("machine", "name") }
  def keep(id = perpetua, **wished)
    call(:post, "/api/clients/#{id}/sessions", { minutes: 120, begins: true, **wished })
  end
  def caution(id, name)
    db[:client_cautions].where(client_id: id).delete
    loft.cautions.put(
      id,
      name.to_s,
      version: nil,
      by: db[:accounts].get(:id),
      **Verglas::Web::Inputs::Caution.fields({})
    )
  end
  def set(member, **said)
    call(
      :post,
      "/api/fittings/#{member["fitting_id"]}/sets",
      {
        load_kg: member["load_kg"],
        repetitions: 10,
        last: "clean",
        reached: 1,
        felt: nil,
        sign: nil,
        leg: "",
        watched_by: nil,
        **said
      }
    )
  end

  it "hold only machines that may be set up, told as on their set-up list, with every caution there is" do
    bad =
      rules.each_key.flat_map do |name|
        caution(perpetua, name)
        members(plan).filter_map do |member|
          next unless member["fitting_id"]

          told = call(:get, "/api/fittings/#{member["fitting_id"]}/set-up")
          [name, member.dig("machine", "name")] unless told["bars"].empty? && told["allowed"] == member["allowed"]
        end
      end
    expect(bad).to eq([])
  end

  it "offer nothing in turn, and draw no rest shorter than a caution asks for, though the gym's own are" do
    taken = Hash.new { { first: { count: 90, mean: 60, sd: 5 }, between: { count: 900, mean: 45, sd: 5 } } }
    allow_any_instance_of(Verglas::Store::Queries::TimesTaken).to receive(:call).and_return(taken)
    Verglas::Application::Kept.shared.empty
    Verglas::Planning::Pair::IN_TURN[:without].each do |name|
      caution(perpetua, name)
      told = plan
      expect([name, told["turns"]]).to eq([name, []])
      least = rules.fetch(name).rest_s.to_i
      rests = told["blocks"].flat_map { |block| block["parts"] }.select { |part| part["kind"] == "rest" }
      expect(rests.map { |rest| rest["seconds"] }).to all(be >= least)
    end
  ensure
    Verglas::Application::Kept.shared.empty
  end

  it "let nobody go round without a rest whom a caution keeps from two in turn, and say nothing of it" do
    stations = ["Leg extension 1", "Leg curl 1", "Hip abduction 1"].map { |name| station(name) }
    fields = { name: "Circle", work_s: 45, stations: stations, people: [named("Imre Talbot-Vane"), perpetua] }
    titles = rules.keys.map { |name| Verglas::Formats::Words.say("cautions.#{name}.title") }
    rules.each_key do |name|
      caution(perpetua, name)
      circle = call(:post, "/api/circles", fields)
      expect(status).to eq(201), last_response.body
      text = JSON.generate(circle)
      expect([name, titles.select { |title| text.include?(title) }]).to eq([name, []])
      next unless Verglas::Planning::Pair::IN_TURN[:without].include?(name)

      works =
        circle["rounds"].map { |round| round["cells"].any? { |c| c["person"] == perpetua && c["state"] == "works" } }
      expect(works.each_cons(3)).to all(satisfy { |three| three.count(true) <= 1 })
    end
  end

  it "give way where a caution puts another machine first: a plan and a group alike" do
    caution(perpetua, :back)
    expect(names(plan)).not_to include("Hack squat 1")
    circle =
      call(
        :post,
        "/api/circles",
        { name: "Circle", work_s: 60, stations: [station("Hack squat 1")], people: [perpetua] }
      )
    expect(circle["rounds"].first["cells"].first).to include("state" => "instead", "instead" => "Belt squat 1")
  end

  def stop(machine, sign)
    machine_id = db[:machines].where(name: machine).get(:id)
    fitting = call(:post, "/api/fittings", { client_id: perpetua, machine_id: machine_id })["id"]
    page = call(:get, "/api/fittings/#{fitting}")
    fields = %w[version aids load signs note knee_off_mm roller_seen flow work cue trail creep]
    sheet = page.slice("marks", *fields).transform_keys(&:to_sym)
    call(:post, "/api/fittings/#{fitting}/stop", { stop_sign: sign, sheet: sheet })
    expect(status).to eq(200), last_response.body
  end

  it "end with a stop sign on whatever machine, and stay ended for the day" do
    begun = keep
    stop("Calf raise 1", "faintness")
    running = call(:get, "/api/sessions/#{begun["id"]}")
    expect(running.values_at("stopped", "current")).to eq([true, nil])
    expect(running["blocks"].flat_map { |block| block["closed"] }).to all(be(true))
    call(:put, "/api/sessions/#{begun["id"]}", { minutes: 120, version: running["version"] })
    expect(status).to eq(200)
    call(:post, "/api/sessions/#{begun["id"]}/ending", { version: running["version"] + 1 })
    expect(plan["blocks"]).to eq([])
    expect(plan["beside"].map { |one| one["why"] }.uniq).to eq(%w[stopped])
    keep
    expect(status).to eq(422)
  end

  it "close what loads the joint that hurt while somebody was fitted, and go on with the rest" do
    begun = keep
    stop("Leg curl 1", "joint_pain")
    running = call(:get, "/api/sessions/#{begun["id"]}")
    closed, open = running["blocks"].partition { |block| block["closed"].first }
    called = ->(blocks) { blocks.map { |block| block["members"].first.dig("machine", "name") } }
    expect(called[closed]).to include("Leg extension 1")
    expect(called[open]).to include("Hip adduction 1")
    expect(running["stopped"]).to be(false)
  end

  it "say what keeps somebody off everything, where nothing is open" do
    auden = named("Auden Pellbrook")
    told = plan(auden)
    expect(told["blocks"]).to eq([])
    expect(told["says"]).to include("asked about cautions")
    expect(told["first_visit"]).to be(false)
  end

  it "do two in turn one after the other once a caution came, and never two exercises of one station" do
    imre = named("Imre Talbot-Vane")
    keys = plan(imre)["turns"].first["keys"]
    begun = keep(imre, turns: [keys])
    expect(begun["blocks"].first["keys"]).to eq(keys)
    caution(imre, :dizziness)
    after = call(:get, "/api/sessions/#{begun["id"]}")["blocks"].map { |block| block["keys"] }
    expect(after.first(2)).to eq(keys.zip)
    db[:client_cautions].where(client_id: perpetua).delete
    one = members(plan).map { |member| member["key"] }.find { |key| key.end_with?("/curl") }
    both = [one, one.sub(%r{/curl\z}, "/extension")]
    expect(plan(kept: both, turns: [both])["blocks"].map { |block| block["members"].size }.uniq).to eq([1])
    call(:post, "/api/circles", { name: "Circle", work_s: 60, stations: both, people: [perpetua] })
    expect(last_response.body).to include("station_twice")
  end

  it "write no set twice that two tablets have seen as the same, and lose none" do
    member = keep["blocks"].first["members"].first
    2.times { set(member, number: 1) }
    expect(status).to eq(422)
    expect(JSON.parse(last_response.body)).to include(
      "code" => "set_written",
      "message" => /Set 1.*Nothing was doubled/
    )
    set(member, number: 2)
    expect(db[:sets].where { done_at > Time.now - 60 }.count).to eq(2)
  end

  it "refuse more than can be weighed, in words" do
    keys = db[:machines].select_map(:id).map { |id| "#{id}/" }
    plan(kept: keys.first(40))
    expect(status).to be_between(200, 422)
    others = plan(named("Ósk Brannagh"))
    expect(others["blocks"].size).to be <= 8
  end

  it "end one of another day that nobody ended, when the next begins" do
    begun = keep
    old = Sequel.lit("now() - interval '2 days'")
    db[:sessions].where(id: begun["id"]).update(begun_at: old, updated_at: old, created_at: old)
    expect(call(:get, "/api/sessions")["sessions"]).to eq([])
    expect(keep["state"]).to eq("running")
    expect(db[:sessions].where(id: begun["id"]).get(:state)).to eq("done")
  end

  it "tell at hand what the plan tells: the aim's sets, repetitions and rest" do
    aim = plan["aims"].find { |name| name == "Strength" }
    told = members(plan(aim: aim)).first
    expect(told.values_at("repetitions", "rest_s")).to eq([6, 180])
    begun = keep(aim: aim)
    expect(members(begun).first.values_at("repetitions", "rest_s")).to eq([6, 180])
    expect(begun["blocks"].first["sets"]).to eq(3)
  end
end
