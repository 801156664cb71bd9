# frozen_string_literal: true

require "web_helper"

RSpec.describe "A returning client's visit" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) do
    machine(loft, "slide_back", name: "Leg extension 1", one_leg: true).tap do |row|
      loft.machines.update(
        row[:id],
        version: 1,
        by: account,
        one_leg: true,
        loading: {
          kind: "stack",
          unit: "kg",
          masses: [5, 10, 15, 20, 25, 30]
        },
        description: {
          constants: row[:constants],
          adjusters: row[:adjusters],
          exercises: {
          },
          taped: {
          }
        }
      )
    end
  end
  let(:person) do
    client(
      loft,
      account,
      name: "Matteus Orr",
      sex: "man",
      stature: 1700,
      seat_to_kneecap: 604,
      floor_to_knee_top: 541,
      knee_to_ankle: 419
    )
  end
  let(:fitting) { fitted }

  before { sign_in }

  def fitted(marks: {}, load_kg: 20, last: "clean")
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    page = call(:get, "/api/fittings/#{id}")
    work =
      Verglas::Application::Sheet::NO_WORK.merge("load_kg" => load_kg, "repetitions" => 10, "sets" => 2, "last" => last)
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: page["marks"].merge(marks), version: page["version"], work: work, reason: "Felt better." }
    )
    expect(status).to eq(200)
    id
  end

  def done(id = fitting, **said)
    call(
      :post,
      "/api/fittings/#{id}/sets",
      {
        load_kg: 20,
        repetitions: 10,
        last: "clean",
        reached: 1,
        felt: "front_thigh",
        sign: nil,
        leg: "",
        watched_by: account,
        **said
      }
    )
  end

  def visit(id = fitting) = call(:get, "/api/fittings/#{id}/set-up")["visit"]

  # As if all that was done had been so many days ago.
  def long_ago(days)
    back = Sequel.lit("interval '#{days} days'")
    db[:visits].update(begun_at: Sequel[:begun_at] - back, last_at: Sequel[:last_at] - back)
    db[:sets].update(done_at: Sequel[:done_at] - back)
    db[:fittings].exclude(accepted_at: nil).update(accepted_at: Sequel[:accepted_at] - back)
  end

  it "is told by the fitting at first, then by its own sets, with the reason" do
    expect(visit["today"]).to include(
      "load" => include("text" => "20 kg"),
      "light" => include("text" => "10 kg"),
      "says" => "Hard and clean last time: the same again."
    )
    2.times { done(last: "easy") }
    expect([visit["today"]["load"]["text"], visit["going_on"]["next_time"]]).to eq(
      ["20 kg", "Easy today. Next time 25 kg."]
    )
    long_ago(3)
    expect(visit["today"]).to include(
      "load" => include("text" => "25 kg"),
      "says" => "Easy in 2 sets last time: one step up."
    )
    done(load_kg: 25, reached: 0.5)
    expect(visit["going_on"]["next_time"]).to eq("Range was missing today. Next time 20 kg. Range before load.")
    long_ago(3)
    expect(visit["today"]).to include(
      "load" => include("text" => "20 kg"),
      "says" => "Range was missing last time: one step down. Range before load."
    )
    expect(visit["history"].map { |one| one.values_at("kind", "outcome") }).to eq(
      [%w[fitting clean], %w[visit easy], %w[visit short]]
    )
  end

  it "asks how straight the knee goes, short at two visits without a sign, before the load goes down again" do
    done(load_kg: 20, reached: 0.5)
    long_ago(3)
    done(load_kg: 20, reached: 0.5)
    expect(visit["going_on"]["next_time"]).to eq(
      "Short of straight again. Measure how straight the knee goes (Limits). Until then 20 kg."
    )
    long_ago(3)
    told = visit["today"].then { |today| [today["load"]["text"], today["says"]] }
    expect(told).to eq(
      [
        "20 kg",
        "Short of straight twice, without a sign. Measure how straight the knee goes (Limits). The same load until " \
          "then."
      ]
    )
    loft.clients.measure(
      person[:id],
      version: loft.clients.find(person[:id])[:version],
      limits: {
        knee_straight: {
          reading: 25,
          deg: 25,
          by: "Maren Oldcastle",
          at: Time.now.utc.iso8601
        }
      }
    )
    expect(visit["today"]).to include(
      "load" => include("text" => "15 kg"),
      "says" => "Range was missing last time: one step down. Range before load."
    )
  end

  it "writes sets down in their order, with who watched, and says that the machine stands so" do
    now = done
    expect(
      now["going_on"]["sets"].map { |set| set.values_at("number", "repetitions", "last", "felt", "watched_by") }
    ).to eq([[1, 10, "clean", "Front of the thigh", "Maren Oldcastle"]])
    done(watched_by: nil, reached: 0.75)
    expect(visit["going_on"]["sets"].map { |set| set.values_at("number", "reached", "watched_by") }).to eq(
      [[1, 1, "Maren Oldcastle"], [2, 0.75, nil]]
    )
    expect(call(:get, "/api/machines/#{here[:id]}/queue")["standing"]).not_to be_nil
    expect(db[:visits].count).to eq(1)
  end

  it "stands on the card with what was lifted last" do
    card = -> { call(:get, "/api/clients/#{person[:id]}")["card"].first["accepted"]["load"] }
    fitting
    expect(card.call).to eq("20 kg")
    done(load_kg: 25)
    expect(card.call).to eq("25 kg")
  end

  it "is begun by setting the machine up, with what is lifted there, and goes on the same day" do
    call(:post, "/api/fittings/#{fitting}/set-up", {})
    expect(status).to eq(200)
    expect(db[:visits].first).to include(planned_kg: 20, begun_by: account)
    done(load_kg: 25)
    expect(db[:visits].count).to eq(1)
    long_ago(1)
    done
    expect(db[:visits].count).to eq(2)
  end

  it "holds once after the roller moved, and says what that does to the leg" do
    done(last: "easy")
    long_ago(4)
    marks = call(:get, "/api/fittings/#{fitting}")["marks"]
    again = fitted(marks: { "roller" => marks["roller"] == "B" ? "C" : "B" }, last: nil)
    expect(visit(again)["today"]).to include("load" => include("text" => "20 kg"))
    expect(visit(again)["today"]["says"]).to match(
      Regexp.new(
        "\\ARoller from [A-E] to [A-E]: the same once more, loads compare only at one mark\\. " \
          "It presses the leg about \\d+ % (more|less)\\.\\z"
      )
    )
    done(again, last: "easy")
    long_ago(4)
    expect(visit(again)["today"]["load"]["text"]).to eq("25 kg")
    broken = call(:get, "/api/fittings/#{again}/progress")["visits"].map { |one| one["broken"] }
    expect(broken).to eq([false, false, true])
  end

  it "stops for today where it is felt in a joint, until that set is taken back" do
    now = done(felt: "knee", last: nil)
    expect(now["going_on"]["stopped"]).to be(true)
    expect([done["code"], status]).to eq(["stopped_today", 422])
    set = now["going_on"]["sets"].first["id"]
    expect(call(:post, "/api/sets/#{set}/taking-back", {})["going_on"]).to include("stopped" => false, "sets" => [])
    done
    expect(status).to eq(201)
    call(:post, "/api/sets/#{set}/taking-back", {})
    expect(status).to eq(404)
    expect(db[:sets].exclude(taken_back_at: nil).select_map(:taken_back_by)).to eq([account])
  end

  it "begins with the light set after a joint hurt, and stops at once at a sign with which nothing goes on" do
    done(felt: "knee")
    long_ago(2)
    expect(visit["today"]).to include("alone" => true, "load" => include("text" => "10 kg"))
    curl = machine(loft, "curl_plain", name: "Leg curl 1")
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: curl[:id] })["id"]
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: call(:get, "/api/fittings/#{id}")["marks"], version: 1, reason: "It ends there." }
    )
    expect(done(id, load_kg: nil, felt: "back_thigh", sign: "numb_thigh")["going_on"]["stopped"]).to be(true)
  end

  it "lets one leg begin at half of both, and keeps its loads apart" do
    expect(visit["one_leg"]).to include(
      "load" => include("text" => "10 kg"),
      "says" => "Half of what both legs lift, at most. The weaker side first, the same repetitions."
    )
    done(leg: "left", load_kg: 10, last: "easy")
    done(leg: "right", load_kg: 10, last: "easy")
    long_ago(2)
    expect([visit["one_leg"]["load"]["text"], visit["today"]["load"]["text"]]).to eq(["15 kg", "20 kg"])
  end

  it "refuses what keeps the client off, what is above a limit, what this machine cannot be loaded with, and " \
       "nonsense; nothing is written" do
    expect(visit["choices"].map { |load| load["kg"] }).to eq([5, 10, 15, 20, 25, 30])
    loft.cautions.put(
      person[:id],
      "back",
      version: nil,
      by: account,
      note: "",
      cleared_by: "Dr Fenwick",
      cleared_on: "2026-02-11",
      load_to_kg: 12
    )
    expect([done["code"], status]).to eq(["past_load_limit", 422])
    expect(visit["today"]).to include(
      "load" => include("text" => "10 kg"),
      "says" => "No more than 12 kg: a clinician's limit."
    )
    expect(visit["choices"].map { |load| load["kg"] }).to eq([5, 10])
    expect(done(load_kg: 7)["code"]).to eq("load_not_there")
    [
      { felt: "nose" },
      { sign: "roller_sings" },
      { leg: "both" },
      { repetitions: 0 },
      { reached: -1 },
      { last: "fine" },
      { watched_by: 987_654_321 }
    ].each do |said|
      done(load_kg: 10, **said)
      expect(status).to eq(422), said.inspect
    end
    loft.cautions.put(person[:id], "heart", version: nil, by: account, note: "")
    expect(done(load_kg: 10)["code"]).to eq("barred")
    expect([db[:visits].count, db[:sets].count]).to eq([0, 0])
  end

  it "tells nothing harder than the load to somebody with a caution" do
    expect(visit["ladder"]["rungs"].map { |rung| rung["name"] }).to eq(%w[range control load harder])
    loft.cautions.put(person[:id], "loose_joints", version: nil, by: account, note: "")
    expect(JSON.generate(visit["ladder"])).not_to match(/harder version|slower/)
    expect(visit["ladder"]["rungs"].map { |rung| rung["name"] }).to eq(%w[range control load])
  end

  it "writes a set that is sent again once" do
    body = { load_kg: 20, repetitions: 10, last: "clean", reached: 1, felt: nil, sign: nil, leg: "", watched_by: nil }
    key = SecureRandom.uuid
    answers = Array.new(2) { call(:post, "/api/fittings/#{fitting}/sets", body, key: key) }
    expect(answers.uniq.size).to eq(1)
    expect(db[:sets].count).to eq(1)
  end

  it "keeps how a set went encrypted, and from everybody of another gym" do
    set = done(felt: "knee", sign: "roller_climbs")["going_on"]["sets"].first["id"]
    expect(db[:sets].first.values.join).not_to match(/knee|climbs|clean/)
    theirs = gym("Elsewhere")
    staff(theirs, email: "spy@elsewhere.example")
    call(:post, "/auth/logout", {})
    sign_in(email: "spy@elsewhere.example")
    [
      -> { done },
      -> { call(:post, "/api/sets/#{set}/taking-back", {}) },
      -> { call(:get, "/api/fittings/#{fitting}/progress") }
    ].each do |ask|
      ask.call
      expect(status).to eq(404)
    end
  end

  it "compares no curl with an extension on another machine" do
    done
    curl =
      machine(loft, "curl_plain", name: "Leg curl 1").tap do |row|
        loft.machines.update(
          row[:id],
          version: 1,
          by: account,
          loading: {
            kind: "stack",
            unit: "kg",
            masses: [5, 10, 20]
          },
          description: {
            constants: row[:constants],
            adjusters: row[:adjusters],
            exercises: {
            },
            taped: {
            }
          }
        )
      end
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: curl[:id] })["id"]
    work = Verglas::Application::Sheet::NO_WORK.merge("load_kg" => 20, "last" => "clean")
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: call(:get, "/api/fittings/#{id}")["marks"], version: 1, work: work, reason: "It ends there." }
    )
    expect(visit(id)["remarks"]).to be_empty
  end
end
