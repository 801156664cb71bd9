# frozen_string_literal: true

require "database_helper"

RSpec.describe "What the floor asks of the store" do
  let(:loft) { gym }
  let(:account) { staff(loft) }
  let(:here) { machine(loft) }
  let(:marks) { { "back pad" => "3", "roller" => "C", "start" => "3" } }

  def opened(person)
    loft
      .fittings
      .open(client_id: person[:id], machine_id: here[:id], description_number: 1, marks: marks, by: account)
      .first
  end

  def accepted(person)
    draft = opened(person)
    loft.fittings.accept(
      draft[:id],
      version: draft[:version],
      marks: marks,
      result: {
        grade: "in line",
        findings: []
      },
      computed_from: {
      },
      by: account
    )
  end

  it "lists what was left open, the latest first, with client, machine and who" do
    first, second = %w[Ada Bo].map { |name| opened(client(loft, account, name: name)) }
    expect(Verglas::Store::Queries::OpenFittings.new(loft).call).to be_empty # opened and never touched
    loft.fittings.save(second[:id], version: 1, marks: marks, by: account)
    loft.fittings.save(first[:id], version: 1, marks: marks.merge("roller" => "D"), by: account)
    rows = Verglas::Store::Queries::OpenFittings.new(loft).call
    expect(rows.map { |row| row[:id] }).to eq([first[:id], second[:id]])
    expect(rows.first).to include(client_name: "Ada", machine_name: "slide_back", by_name: "Maren Oldcastle")
  end

  it "names each client once among those fitted lately" do
    person = client(loft, account, name: "Ada")
    2.times { accepted(person) }
    accepted(client(loft, account, name: "Bo"))
    expect(Verglas::Store::Queries::RecentClients.new(loft).call.map { |row| row[:name] }).to eq(%w[Bo Ada])
  end

  it "puts on the card the latest of each machine, and the draft beside it" do
    person = client(loft, account, name: "Ada")
    accepted(person)
    latest = accepted(person)
    draft = opened(person)
    card = Verglas::Store::Queries::ClientCard.new(loft)
    line = card.call(person[:id]).first
    expect([line[:id], line[:draft][:id]]).to eq([latest[:id], draft[:id]])
    expect(card.history(person[:id]).size).to eq(2)
  end

  it "finds the bench only in its own gym" do
    draft = opened(client(loft, account, name: "Ada"))
    expect(Verglas::Store::Queries::FittingOnBench.new(loft).call(draft[:id])[:machine]).to include(
      name: "slide_back",
      number: 1
    )
    expect(Verglas::Store::Queries::FittingOnBench.new(gym("The Sail Shed")).call(draft[:id])).to be_nil
  end
end
