# frozen_string_literal: true

require "web_helper"
require "icalendar"

RSpec.describe "Re-fits that are due" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) do
    client(
      loft,
      account,
      name: "Perpetua Lowe",
      sex: "woman",
      stature: 1648,
      seat_to_kneecap: 576,
      floor_to_knee_top: 519
    )
  end

  before { sign_in }

  def fitted(who = person, **sheet)
    id = call(:post, "/api/fittings", { client_id: who[:id], machine_id: here[:id] })["id"]
    page = call(:get, "/api/fittings/#{id}")
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: page["marks"], version: page["version"], reason: "So.", knee_off_mm: 0, roller_seen: true, **sheet }
    )
    expect(status).to eq(200)
    id
  end

  def months_ago(count) = db[:fittings].update(accepted_at: Sequel.lit("accepted_at - interval '#{count} months'"))
  def due = call(:get, "/api/refits")["due"]
  def why = due.flat_map { |one| one["reasons"].map { |reason| reason["name"] } }

  it "are none where nothing changed, and are told with why, the weightiest first" do
    fitted
    expect(due).to eq([])
    months_ago(13)
    expect(due.map { |one| [one["client"]["name"], one["machine"]["name"], one["reasons"].first["says"]] }).to eq(
      [["Perpetua Lowe", "Leg extension 1", "13 months have gone by."]]
    )
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "back", version: nil })
    expect(why).to eq(%w[caution_changed long_since])
  end

  it "come from readings that move the advice by more than a notch, and from no others" do
    fitted
    loft.readings.put(
      client_id: person[:id],
      observation: "seat_to_kneecap",
      value_mm: 578,
      unit: "cm",
      confirmed: false,
      taken_by: account
    )
    expect(why).to eq([])
    loft.readings.put(
      client_id: person[:id],
      observation: "seat_to_kneecap",
      value_mm: 655,
      unit: "cm",
      confirmed: true,
      taken_by: account
    )
    expect(due.first["reasons"].first).to include(
      "name" => "notches",
      "says" => match(/move the advice by [2-9] notches/)
    )
  end

  it "come from visits: a sign, a load that doubled, range that was never whole; and from a machine that was taped " \
       "anew" do
    id = fitted
    set = { load_kg: 20, repetitions: 10, last: "clean", reached: 0.5, felt: nil, sign: nil, leg: "", watched_by: nil }
    3.times do
      call(:post, "/api/fittings/#{id}/sets", set)
      db[:visits].update(
        begun_at: Sequel.lit("begun_at - interval '2 days'"),
        last_at: Sequel.lit("last_at - interval '2 days'")
      )
    end
    expect(why).to eq(%w[sign_unsolved range_never_whole])
    call(:post, "/api/fittings/#{id}/sets", set.merge(load_kg: 45, reached: 1))
    expect(why).to eq(%w[load_doubled])
    constants = here[:constants].to_h.merge("seat_edge" => -60)
    loft.machines.update(
      here[:id],
      version: 1,
      by: account,
      description: {
        constants: constants,
        adjusters: here[:adjusters].to_a,
        exercises: {
        },
        taped: {
        }
      }
    )
    expect(why).to eq(%w[redescribed load_doubled])
  end

  it "can wait, with a reason, until then; a new fitting answers them" do
    fitted
    months_ago(13)
    snooze = { client_id: person[:id], machine_id: here[:id], exercise: "", weeks: 2, reason: "Away on the boats." }
    expect(call(:put, "/api/refits/snooze", snooze.merge(reason: "  "))["code"]).to eq("snooze_unexplained")
    expect(call(:put, "/api/refits/snooze", snooze)["due"]).to eq([])
    expect(db[:refit_snoozes].first[:reason_cipher]).not_to include("boats")
    db[:refit_snoozes].update(until: Date.today)
    expect(due.size).to eq(1)
    fitted
    expect(due).to eq([])
  end

  it "are a calendar that others may read: no whole name, nothing of anybody's health, ids that stay" do
    id = fitted
    months_ago(3)
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "back", version: nil })
    calendars =
      Array.new(2) do
        get "/api/refits.ics"
        expect(last_response.headers["content-type"]).to start_with("text/calendar")
        Icalendar::Calendar.parse(last_response.body).first
      end
    events = calendars.first.events
    expect(events.map { |event| [event.uid.to_s, event.summary.to_s, event.dtstart.to_date] }).to eq(
      [["#{id}@verglas", "Perpetua L.: fit again on Leg extension 1", Date.today]]
    )
    expect(last_response.body).not_to match(/Lowe|caution/i)
    expect(calendars.map { |calendar| calendar.events.map { |event| event.uid.to_s } }.uniq.size).to eq(1)
  end

  it "move in the calendar to the day to which they were put off, and do not vanish from it" do
    fitted
    months_ago(13)
    call(
      :put,
      "/api/refits/snooze",
      { client_id: person[:id], machine_id: here[:id], exercise: "", weeks: 2, reason: "Away on the boats." }
    )
    get "/api/refits.ics"
    expect(Icalendar::Calendar.parse(last_response.body).first.events.map { |event| event.dtstart.to_date }).to eq(
      [Date.today + 14]
    )
  end

  it "are of this gym's people alone, and of no retired machine" do
    fitted
    months_ago(13)
    loft.machines.update(here[:id], version: 1, by: account, state: "retired")
    expect(due).to eq([])
    db[:machines].update(state: "in_use")
    theirs = gym("Elsewhere")
    staff(theirs, email: "spy@elsewhere.example")
    call(:post, "/auth/logout", {})
    sign_in(email: "spy@elsewhere.example")
    expect(due).to eq([])
    call(
      :put,
      "/api/refits/snooze",
      { client_id: person[:id], machine_id: here[:id], exercise: "", weeks: 2, reason: "So." }
    )
    expect(status).to eq(404)
  end
end
