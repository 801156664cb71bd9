# frozen_string_literal: true

require "web_helper"
require_relative "../../ops/simulated_arm"

# A movement that a phone reads: at the bench a code, on the phone its reading, afterwards what it tells.
RSpec.describe "A movement read by a phone" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) { client(loft, account, name: "Perpetua Lowe", sex: "woman", stature: 1648, seat_to_kneecap: 576) }
  let(:accepted) { accept(person) }

  before { sign_in }

  def accept(who, machine = here)
    id = call(:post, "/api/fittings", { client_id: who[:id], machine_id: machine[:id] })["id"]
    page = call(:get, "/api/fittings/#{id}")
    call(:post, "/api/fittings/#{id}/acceptance", { marks: page["marks"], version: 1, reason: "So." })
    id
  end

  def code(fitting = accepted, **given)
    call(:post, "/api/fittings/#{fitting}/movements", { leg: "", planned: 10, **given })
  end

  def secret(made) = made["address"].split("#").last
  def open_with(code) = call(:post, "/auth/phone", { secret: code })
  def reading(made) = call(:get, "/api/movements/#{made["id"]}")
  def taken(secret, number, samples, **given)
    call(:post, "/auth/phone/samples", { secret: secret, number: number, samples: samples, **given })
  end

  # The reading began so long ago.
  def begun(seconds_ago)
    db[:movements].update(opened_at: Sequel::CURRENT_TIMESTAMP - Sequel.cast("#{seconds_ago} s", :interval))
  end

  # A phone that lies anyhow on the arm, its set and its batches, a second each.
  def set(count = 4, arc: nil, **sensed)
    arc ||= db[:movements].get(:asked).values_at("from_deg", "upto_deg")
    done =
      Array.new(count) do |index|
        Verglas::Ops::SimulatedArm::Done.new(
          low: 0.0,
          top: 1.0,
          up: 1.5 + (0.4 * index),
          hold: 0.8,
          down: 2.5,
          pause: 0.2,
          slam: false
        )
      end
    arm = Verglas::Ops::SimulatedArm.new(done, start: arc[0], finish: arc[1], seed: 4, lies: true, **sensed)
    arm.samples.slice_when { |one, other| one.first.floor != other.first.floor }.to_a
  end

  def send_all(secret, batches)
    begun(200)
    batches.each.with_index(1).map { |batch, number| taken(secret, number, batch) }.last
  end

  it "is opened once by a code, tells where to lie and nobody's name, and counts while the samples come" do
    made = code
    expect([status, made["address"]]).to match([201, %r{/phone#[\w-]{22}\z}])
    expect(reading(made)).to include("state" => "waiting", "count" => 0, "lies_on" => "arm")
    phone = open_with(secret(made))
    expect(phone).to include("lies_on" => "arm", "planned" => 10, "machine" => "Leg extension 1", "where" => /arm/)
    expect(phone["picture"]["phone"]["at"]).to all(be_a(Numeric))
    expect(phone.to_s).not_to match(/Perpetua|Lowe/)
    live = send_all(phone["secret"], set)
    expect(live).to include("count" => 4, "restless" => false, "slipped" => false)
    expect(live["share"]).to be_within(0.1).of(0)
    expect(reading(made)).to include("state" => "reading", "count" => 4)
  end

  it "is told against what was agreed once it is over, and proposes how the last repetition went" do
    made = code
    phone = open_with(secret(made))
    send_all(phone["secret"], set)
    call(:post, "/auth/phone/ending", { secret: phone["secret"] })
    over = reading(made)
    expect(over).to include("state" => "over", "whole_share" => 0.9, "beside" => [])
    expect(over["review"]).to include("last" => "clean", "reached" => be_within(0.05).of(1.0), "sign" => nil)
    expect(over["review"]["says"]).to start_with(/4 of 10 repetitions/).and include(/times as long up/)
    expect(over["review"]["next"]).to include("One that is clean")
    expect(over["review"]["repetitions"].map { |one| one["up_s"].round(1) }).to match(
      [1.5, 1.9, 2.3, 2.7].map { |seconds| be_within(0.3).of(seconds) }
    )
    expect(JSON.generate(over["review"]["curve"]["shares"]).bytesize).to be <= 2048
  end

  def read_set(fitting = accepted, **given)
    made = code(fitting, **given)
    phone = open_with(secret(made))
    send_all(phone["secret"], set)
    call(:post, "/auth/phone/ending", { secret: phone["secret"] })
    made["id"]
  end

  def write_down(movement, fitting = accepted, **given)
    done = { load_kg: nil, repetitions: 4, last: "clean", reached: 1, felt: "front_thigh", sign: nil, leg: "" }
    call(:post, "/api/fittings/#{fitting}/sets", { **done, watched_by: account, movement: movement, **given })
  end

  it "stays with the set that was read, is laid under the next visit's, goes out as a table, and is then over" do
    visit = write_down(read_set)
    expect(status).to eq(201)
    set = visit["going_on"]["sets"].first
    expect(set["read"]).to be(true)
    kept = call(:get, "/api/sets/#{set["id"]}/movement")
    expect(kept["review"]).to include("next" => nil, "repetitions" => have_attributes(size: 4))
    expect(call(:get, "/api/fittings/#{accepted}/progress")["visits"].last["read"]).to eq(set["id"])
    expect([db[:movements].count, db[:movement_samples].count]).to eq([0, 0])
    expect(db[:sets].get(:movement_cipher)).not_to include("repetitions")
    db[:visits].update(begun_at: Time.now - 90_000, last_at: Time.now - 90_000)
    again = call(:get, "/api/movements/#{read_set}")
    expect(again["beside"].map { |one| one["name"] }).to eq(["Last visit"])
    expect(again["beside"].first["curve"]["shares"].max).to be_within(6).of(100)
    call(:get, "/api/export/movements.csv")
    expect(last_response.body.lines.size).to eq(5)
    expect(last_response.body).to include("Perpetua Lowe")
  end

  it "is laid over the other leg's of the same visit, and over nothing of another leg's before" do
    db[:machines].update(one_leg: true)
    write_down(read_set(leg: "left"), leg: "left")
    beside = ->(leg) { call(:get, "/api/movements/#{read_set(leg: leg)}")["beside"].map { |one| one["name"] } }
    expect([beside.call("right"), beside.call("left"), beside.call("")]).to eq([["Left"], [], []])
  end

  it "stays with a fitting that is being made, where somebody keeps it" do
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    page = call(:get, "/api/fittings/#{id}")
    movement = read_set(id, marks: page["marks"])
    call(:post, "/api/movements/#{movement}/keeping", {})
    expect(status).to eq(200)
    expect(call(:get, "/api/fittings/#{id}")["read"]["review"]["repetitions"].size).to eq(4)
    call(:post, "/api/movements/#{movement}/keeping", {})
    expect(status).to eq(404)
  end

  describe "with a code" do
    it "opens it no second time, not late, and not once another was made" do
      made = code
      open_with(secret(made))
      expect([open_with(secret(made))["code"], status]).to eq(["code_over", 404])
      late = code
      db[:movements].update(ends_at: Time.now - 1)
      expect(reading(late)["state"]).to eq("late")
      expect(open_with(secret(late))["code"]).to eq("code_over")
      older = code
      code
      expect(open_with(secret(older))["code"]).to eq("code_over")
      expect([call(:post, "/auth/phone", { secret: "A" * 22 })["code"], status]).to eq(["code_over", 404])
    end

    it "shows nothing of it to another gym, and reads nothing with the code itself" do
      made = code
      phone = open_with(secret(made))
      expect(taken(secret(made), 1, set.first)["code"]).to eq("reading_over")
      elsewhere = gym("Elsewhere")
      staff(elsewhere, email: "spy@elsewhere.example", name: "Spy", role: "lead")
      sign_in(email: "spy@elsewhere.example")
      expect([reading(made)["code"], status]).to eq(["not_found", 404])
      %w[keeping removal].each do |what|
        expect(call(:post, "/api/movements/#{made["id"]}/#{what}", {})["code"]).to eq("not_found")
      end
      begun(5)
      expect(taken(phone["secret"], 1, set.first)["through"]).to eq(1)
    end
  end

  describe "with samples" do
    let(:made) { code }
    let(:phone) { open_with(secret(made)) }

    it "counts what came twice once, waits for what is missing, and begins anew where it is asked to" do
      phone && begun(200)
      batches = set
      batches.first(8).each.with_index(1) { |batch, number| taken(phone["secret"], number, batch) }
      expect(taken(phone["secret"], 3, batches[2])["through"]).to eq(8)
      expect(taken(phone["secret"], 10, batches[9])["through"]).to eq(8)
      expect(taken(phone["secret"], 9, batches[8])["through"]).to eq(10)
      anew = taken(phone["secret"], 1, batches[0], anew: true)
      expect(anew).to include("through" => 1, "count" => 0)
    end

    it "takes none of a time to come, none out of order, none past its length, and keeps what came before" do
      phone
      batches = set
      begun(3)
      expect(taken(phone["secret"], 1, batches[0])["through"]).to eq(1)
      ahead = batches[1].map { |at, *rest| [at + 60, *rest] }
      expect([taken(phone["secret"], 2, ahead)["code"], status]).to eq(["samples_ahead", 422])
      expect(taken(phone["secret"], 2, batches[1].reverse)["code"]).to eq("samples_disordered")
      begun(1000)
      long = batches[1].map { |at, *rest| [at + 300, *rest] }
      expect(taken(phone["secret"], 2, long)["code"]).to eq("reading_too_long")
      expect(db[:movement_samples].count).to eq(1)
    end

    it "takes no more of them in all than the longest set has" do
      phone
      many = Array.new(Verglas::Application::PhoneReading::MOST_SAMPLES) { |index| [index / 100.0, 0, 0, 9.8, 0, 0, 0] }
      begun(1000)
      db[:movement_samples].insert(movement_id: made["id"], number: 1, samples: Sequel.pg_json(many))
      expect(taken(phone["secret"], 2, [[239.5, 0, 0, 9.8, 0, 0, 0]])["code"]).to eq("reading_too_long")
    end

    it "takes none that are not seven numbers, nor more at once than a phone sends" do
      phone && begun(200)
      [
        [[0, 1, 2, 3]],
        [["0", 0, 0, 0, 0, 0, 0]],
        [],
        [[0, nil, 0, 0, 0, 0, 0]],
        Array.new(301) { [0] * 7 }
      ].each do |bad|
        taken(phone["secret"], 1, bad)
        expect(status).to eq(422)
      end
      body = JSON.generate({ secret: phone["secret"], number: 1, samples: Array.new(100_000) { [0] * 7 } })
      call(:post, "/auth/phone/samples", raw: body)
      expect(status).to eq(413)
    end

    it "says that the first seconds were not still" do
      phone
      shaking = set(shaking: 3.0)
      begun(200)
      expect(
        shaking.first(4).each.with_index(1).map { |batch, number| taken(phone["secret"], number, batch) }.last
      ).to include("restless" => true, "count" => 0)
    end
  end

  describe "with a caution" do
    # The same set, read for somebody with one: as the demo's gym would have it, cleared.
    def cautioned(caution)
      accepted
      noted(caution)
    end

    def noted(caution)
      loft.cautions.put(
        person[:id],
        caution,
        version: nil,
        by: account,
        note: "",
        cleared_by: "Dr Marsh",
        cleared_on: Date.today.iso8601
      )
    end

    def told(made)
      phone = open_with(secret(made))
      send_all(phone["secret"], set)
      call(:post, "/auth/phone/ending", { secret: phone["secret"] })
      reading(made)["review"]
    end

    it "asks nobody for more, neither further nor quicker" do
      expect(told(code)["next"]).to include("One that is clean")
      cautioned("loose_joints")
      made = code
      expect(status).to eq(201)
      expect(told(made)["next"]).to include("Only as far as it goes by itself")
      expect(db[:movements].get(:asked)["careful"]).to be(true)
    end

    it "holds the first repetition against half where a caution asks for half, and says so before it begins" do
      noted("knee")
      made = code
      expect(reading(made)["still"]).to include("The first repetition over half of the range.")
      review = told(made)
      expect(review["first_share"]).to eq(0.5)
      expect(review["warns"].join).to match(/\AThe first went to (99|10[01]) % of the range where 50 % was agreed/)
      expect([review["next"], review["last"]]).to match([/only to half/, nil])
    end

    it "lets nobody be still under a load who may not hold one; where it rests on its stop, it does" do
      press = machine(loft, "incline_sled", name: "Leg press 1")
      bare = accept(person, press)
      expect(call(:get, "/api/fittings/#{bare}/set-up")["read_on"]).to eq("thigh")
      cautioned("blood_pressure")
      expect(call(:get, "/api/fittings/#{bare}/set-up")["read_on"]).to be_nil
      expect([code(bare)["code"], status]).to eq(["movement_not_read", 422])
      expect(call(:get, "/api/fittings/#{accepted}/set-up")["read_on"]).to eq("arm")
    end
  end

  it "shows a limit that is read to nobody who may not read limits" do
    made = call(:post, "/api/clients/#{person[:id]}/limits/heel_drop/movements", {})
    staff(loft, email: "tobias@netloft.example", name: "Tobias Wren", role: "helper")
    sign_in(email: "tobias@netloft.example")
    expect([reading(made)["code"], status]).to eq(["not_found", 404])
    %w[keeping removal].each do |what|
      expect(call(:post, "/api/movements/#{made["id"]}/#{what}", {})["code"]).to eq("not_found")
    end
    expect(db[:movements].count).to eq(1)
  end

  it "says that what was read is gone, and takes the set without it" do
    movement = read_set
    db[:movements].delete
    expect([write_down(movement)["code"], status]).to eq(["movement_gone", 422])
    write_down(nil)
    expect(status).to eq(201)
  end

  it "makes no code where nobody may get on, where nothing can be read, and keeps nothing that is not over" do
    accepted
    loft.cautions.put(person[:id], "chest", version: nil, by: account, note: "")
    code
    expect(status).to eq(422)
    expect(db[:movements].count).to eq(0)
  end

  it "reads a limit, and asks of none that a caution forbids to measure or that no phone reads" do
    made = call(:post, "/api/clients/#{person[:id]}/limits/heel_drop/movements", {})
    phone = open_with(secret(made))
    expect(phone).to include("lies_on" => "foot", "limit" => "Drop of the heel", "planned" => nil, "picture" => nil)
    live = send_all(phone["secret"], set(1, arc: [0, 18]))
    expect(live["furthest_deg"]).to be_within(1.5).of(18)
    call(:post, "/auth/phone/ending", { secret: phone["secret"] })
    expect(reading(made)).to include("state" => "over", "furthest_deg" => be_within(1.5).of(18), "review" => nil)
    expect(call(:post, "/api/clients/#{person[:id]}/limits/ankle/movements", {})["code"]).to eq("limit_not_read")
    loft.cautions.put(person[:id], "ankle", version: nil, by: account, note: "")
    expect(call(:post, "/api/clients/#{person[:id]}/limits/heel_drop/movements", {})["code"]).to eq("limit_skipped")
  end
end
