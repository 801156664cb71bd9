# frozen_string_literal: true

require "web_helper"

# What a route asks of the application: answered from the store, without a request and without a view.
RSpec.describe Verglas::Application::Questions do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Extension 1") }
  let(:station) { machine(loft, "shared_seat", name: "Station 1", place: "under the beams") }
  let(:person) { client(loft, account, sex: "woman", body_mass_kg: 68, stature: 1700, seat_to_kneecap: 604) }

  def accepted(who, on: here)
    bench = Verglas::Application::Meeting.new(loft, client: who, machine_row: on)
    keys = { client_id: who[:id], machine_id: on[:id], exercise: "" }
    draft, = loft.fittings.open(**keys, description_number: 1, marks: bench.advice.marks, by: account)
    closed = { version: 1, marks: bench.advice.marks, by: account, load: "40 kg", result: {}, computed_from: {} }
    loft.fittings.accept(draft[:id], **closed)
    draft[:id]
  end

  def bar(who) = loft.cautions.put(who[:id], "knee_ligament", version: nil, by: account, note: "")

  it "shows on the board the machines of a place, each exercise of a station, and all places to choose from" do
    station
    accepted(person)
    board = ->(place) { described_class::Board.of(loft, since: Time.now - 3600, place: place) }
    expect(board[nil].columns.map { |row, exercise| [row[:name], exercise] }).to contain_exactly(
      ["Extension 1", ""],
      ["Station 1", "extension"],
      ["Station 1", "curl"]
    )
    expect(board["under the beams"].columns.size).to eq(2)
    expect(board["under the beams"].places).to contain_exactly("by the door", "under the beams")
    expect(board[nil].people.map { |row| row[:id] }).to eq([person[:id]])
    expect(board[nil].bars(person[:id], here, "")).to be_empty
    bar(person)
    expect(board[nil].bars(person[:id], here, "").map(&:code)).to eq([:caution])
  end

  it "knows of a client which reading is worth taking next, and no more of a machine that was checked by eye" do
    page = described_class::ClientPage.of(loft, person)
    expect(page.ranking.first).to be_worth_taking
    expect(page.ranking.map(&:observation)).not_to include(:seat_to_kneecap)
    expect(page.machines.map { |row, bars| [row[:id], bars] }).to eq([[here[:id], { "" => [] }]])
    id = accepted(person)
    loft.db[:fittings].where(id: id).update(knee_off_mm: 0, roller_seen: true)
    checked = described_class::ClientPage.of(loft, loft.clients.find(person[:id]))
    expect(checked.checked.size).to eq(1)
    expect(checked.ranking.map(&:worth_taking?)).to all(be(false))
    expect(checked.card.map { |line| [line.row[:id], line.outdated] }).to eq([[id, []]])
  end

  it "says of a card's line what can no more stand there, and no load that is not known to be allowed" do
    accepted(person)
    line = -> { described_class::ClientPage.of(loft, loft.clients.find(person[:id])).card.first }
    expect(line[].load).to eq("40 kg")
    loft.cautions.put(
      person[:id],
      "diabetes",
      version: nil,
      by: account,
      note: "",
      load_to_kg: 20,
      cleared_by: "Dr Orr",
      cleared_on: Date.new(2026, 2, 1)
    )
    expect(line[].load).to eq("")
  end

  it "carries on a wall sheet whom nothing keeps off, and tells how many there are" do
    accepted(person)
    barred = client(loft, account, name: "Perpetua Lowe", stature: 1650)
    accepted(barred)
    bar(barred)
    sheet = described_class::WallSheet.of(loft, here, "", most: 10)
    expect(sheet.benches.map { |meeting, _| meeting.client[:id] }).to eq([person[:id]])
    expect(sheet.people).to eq(2)
  end

  it "carries on a card what was accepted in service, and on that of a day what stood there then" do
    accepted(person)
    card = described_class::Card.of(loft, person)
    expect(card.benches.map { |meeting| meeting.machine_row[:id] }).to eq([here[:id]])
    expect(described_class::CardOn.of(loft, person, Date.today - 2).lines).to be_empty
    expect(described_class::CardOn.of(loft, person, Date.today).lines.map { |line| line[:state] }).to eq(["accepted"])
    loft.machines.update(here[:id], version: here[:version], by: account, state: "retired")
    expect(described_class::Card.of(loft, person).benches).to be_empty
  end

  it "goes on where a page of people ended, and nowhere where letters were typed" do
    3.times { |number| client(loft, account, name: "Person #{number}") }
    first = described_class::Search.of(loft, "", page: 2)
    second = described_class::Search.of(loft, "", after: first.onward, page: 2)
    expect([first, second].map { |page| page.rows.size }).to eq([2, 1])
    expect((first.rows + second.rows).map { |row| row[:name] }.uniq.size).to eq(3)
    expect(second.onward).to be_nil
    expect(described_class::Search.of(loft, "Person", page: 2).onward).to be_nil
  end

  it "tells the gym's own tables beside what holds where it wrote none" do
    expect(described_class::Aims.of(loft)).to have_attributes(own: false, version: 1)
    expect(described_class::Tempos.of(loft)).to have_attributes(own: {}, here: [:extension])
    expect(described_class::GymRules.of(loft)).to have_attributes(chosen: {}, stricter: [])
    loft.revise(:plates, version: 1) { loft.equipment.replace_plates({ 10.0 => 2 }) }
    expect(described_class::Plates.of(loft)).to have_attributes(pairs: { 10.0 => 2 }, version: 2)
  end

  it "tells what another gym's people and machines are to nobody" do
    other = gym("The Other Loft")
    expect(described_class::Machines.of(other).rows).to be_empty
    expect(described_class::Search.of(other, "").rows).to be_empty
    expect(described_class::Board.of(other, since: Time.at(0)).people).to be_empty
    expect(other.staff_name(account)).to be_nil
    expect(other.staff).to be_empty
  end
end

RSpec.describe Verglas::Application::Acceptance do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { client(loft, account, sex: "woman", body_mass_kg: 68, stature: 1700) }
  let(:here) { machine(loft) }
  let(:meeting) { met }
  let(:advised) { meeting.advice.evaluation }

  def met = Verglas::Application::Meeting.new(loft, client: person, machine_row: here)

  def caution(name, **given) = loft.cautions.put(person[:id], name, version: nil, by: account, note: "", **given)

  it "accepts what is advised where nothing keeps off" do
    expect(meeting.refusals(advised)).to be_empty
  end

  it "accepts nothing where a caution bars, where a joint aches or where a sign says never" do
    expect(meeting.refusals(advised, { work: { "felt" => "joint" } })).to eq([:joint_pain])
    caution("knee")
    expect(described_class.new(met).refusals(advised)).to eq([:barred])
  end

  it "knows a load that is more than a clinician allows, on either leg" do
    expect(meeting).not_to be_overloaded({ "load_kg" => 400 })
    caution("diabetes", load_to_kg: 20, cleared_by: "Dr Orr", cleared_on: Date.new(2026, 2, 1))
    limited = met
    expect(limited).to be_overloaded({ "left_kg" => 21 })
    expect(limited).not_to be_overloaded({ "load_kg" => 20 })
  end
end

RSpec.describe Verglas::Application::MeetingRows do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { client(loft, account, stature: 1700) }
  let(:meeting) { Verglas::Application::Meeting.new(loft, client: person, machine_row: machine(loft)) }

  def statements
    seen = []
    logger = Logger.new(IO::NULL).tap { |log| log.define_singleton_method(:info) { |line| seen << line } }
    loft.db.loggers << logger
    yield
    seen.grep(/SELECT/).size
  ensure
    loft.db.loggers.delete(logger)
  end

  it "asks once for what is wanted again, and not at all for what was given" do
    rows = meeting.rows
    asked = -> { statements { rows.equipment && rows.rules_chosen && rows.aims } }
    expect(asked.call).to be_positive
    expect(asked.call).to eq(0)
    given = described_class.new(meeting, { equipment: {}, rules_chosen: { gym: {}, client: {} }, checked_rows: [] })
    expect(statements { given.equipment && given.rules_chosen && given.checked_rows }).to eq(0)
  end

  it "knows nobody who works elsewhere" do
    stranger = staff(gym("The Other Loft"), email: "eve@other.example", name: "Eve Other")
    expect(meeting.rows.staff_name(stranger)).to be_nil
    expect(meeting.rows.staff_name(account)).to eq("Maren Oldcastle")
    expect(meeting.rows.staff.map { |row| row[:name] }).to eq(["Maren Oldcastle"])
  end
end
