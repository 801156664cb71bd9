# frozen_string_literal: true

require "web_helper"

# A family that fails: its line says that nothing can be computed, every other line stands, and the log says why.
RSpec.describe "One machine's fault" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:measured) { { ankle: { deg: 25, by: "Maren Oldcastle", at: "2026-01-05T09:00:00Z" } } }
  let(:person) do
    client(loft, account, name: "Rosalind Keane", sex: "woman", body_mass_kg: 68, stature: 1700, shown: measured)
  end
  let(:log) { +"" }
  let(:sound) { machine(loft, "slide_back", name: "Extension 1") }
  let(:broken) { machine(loft, "pad_on_lever", name: "Calf raise 1") }
  let(:fitted) { [sound, broken].to_h { |row| [row[:name], accepted(row)] } }
  let(:words) { "Nothing can be computed for this machine at present" }

  before do
    sign_in
    fitted
    call(
      :put,
      "/api/clients/#{person[:id]}/readings/floor_to_knee_top",
      { value: 53, unit: "cm", confirmed: false, version: nil }
    )
    allow(Verglas::Application::OneLine).to receive(:warn) { |line| log << line }
  end

  def accepted(row)
    bench = Verglas::Application::Meeting.new(loft, client: person, machine_row: row)
    draft, =
      loft.fittings.open(
        client_id: person[:id],
        machine_id: row[:id],
        exercise: "",
        description_number: 1,
        by: account,
        marks: bench.advice.marks
      )
    loft.fittings.accept(draft[:id], version: 1, marks: bench.advice.marks, by: account, result: {}, computed_from: {})
    draft[:id]
  end

  # A mechanism of which one method is misspelt, as it would reach a gym.
  def fail_family(error = KeyError.new("key not found: :uprigth", receiver: {}, key: :uprigth))
    allow_any_instance_of(Verglas::Mechanisms::KneeLever).to receive(:findings).and_raise(error)
    allow(Verglas::Guidance::Cautions).to receive(:effect).and_wrap_original do |effect, family, *given, **more|
      family.id == :calf_raise ? raise(error) : effect.call(family, *given, **more)
    end
  end

  def by_machine(lines) = lines.to_h { |line| [line["machine_id"], line] }

  it "is one line's in what is predicted" do
    fail_family
    lines = by_machine(call(:get, "/api/clients/#{person[:id]}/predictions")["predictions"])
    expect(lines[broken[:id]]).to include("status" => nil, "marks" => [], "bars" => [start_with(words)])
    expect(lines[sound[:id]]["marks"]).not_to be_empty
    expect(log).to include("KeyError uprigth, machine #{broken[:id]}").and include("spec")
  end

  it "is one cell's on the board, one reason's among what is due" do
    fail_family
    cells = call(:get, "/api/board?weeks=4")["people"].find { |one| one["id"] == person[:id] }["cells"]
    expect(cells.map { |cell| cell["state"] }).to match_array(%w[fitted barred])
    expect(cells.find { |cell| cell["state"] == "barred" }["why"]).to contain_exactly(start_with(words))
    allow(Verglas::Planning::Refits).to receive(:of).and_raise(KeyError.new("x", receiver: {}, key: :uprigth))
    due = call(:get, "/api/refits")["due"]
    expect([status, due.map { |one| one["reasons"].map { |reason| reason["name"] } }.uniq]).to eq(
      [200, [["not_computed"]]]
    )
  end

  it "is one line's on a card, one person's on a wall sheet and in a queue" do
    fail_family
    text = call(:get, "/api/clients/#{person[:id]}/card.txt")
    expect(text).to include("Extension 1\nBack pad").and include("Calf raise 1\n#{words}")
    expect(call(:get, "/api/machines/#{broken[:id]}/sheet")["rows"]).to be_empty
    expect(call(:get, "/api/machines/#{sound[:id]}/sheet")["rows"].size).to eq(1)
    loft.queues.put(broken[:id], "", clients: [person[:id]], version: 0, by: account)
    expect(call(:get, "/api/machines/#{broken[:id]}/queue")["entries"]).to contain_exactly(
      include("marks" => [], "bars" => [start_with(words)])
    )
    expect(log.scan("KeyError uprigth").size).to be > 2
  end

  it "tells the log nothing of the person, whatever Ruby says of them" do
    fail_family(NoMethodError.new("undefined method `knee' for #<Client Rosalind Keane>", :knee))
    call(:get, "/api/clients/#{person[:id]}/predictions")
    expect(log).to include("NoMethodError knee")
    expect(log).not_to include("Rosalind")
  end

  it "is the whole request's where the database is away" do
    fail_family(Sequel::DatabaseDisconnectError.new("gone"))
    call(:get, "/api/clients/#{person[:id]}/predictions")
    expect(status).to eq(503)
  end
end
