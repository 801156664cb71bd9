# frozen_string_literal: true

require "web_helper"
require_relative "../support/demo_gym"

# What was learned is worked out from what stands written, and from nothing else: the same again from scratch, and as
# before once a thing that taught it is gone.
RSpec.describe "Learning anew" do
  let!(:loft) { Verglas::Store::Gym.new(db, DemoGym.lay(db)) }
  let(:account) { db[:accounts].where(gym_id: loft.id, role: "lead").get(:id) }
  let(:machines) { loft.machines.all.select { |row| row[:name].match?(/extension|curl/) } }
  let(:perpetua) { loft.clients.dataset.where(name: "Perpetua Lowe").get(:id) }

  before { sign_in(password: Verglas::Demo::Loader::SIGN_IN[:password]) }

  # Machines' errors, bodies, strengths and machines' factors, as they are told. kept: as somebody asked before.
  def learned(kept: false)
    Verglas::Application::Kept.shared.empty unless kept
    people = loft.clients.dataset.order(:id).select_map(:id)
    {
      errors: machines.to_h { |row| [row[:id], call(:get, "/api/machines/#{row[:id]}/errors")["errors"]] },
      predicted: people.first(6).to_h { |id| [id, call(:get, "/api/clients/#{id}/predictions")["predictions"]] },
      bodies: people.first(12).to_h { |id| [id, call(:get, "/api/clients/#{id}")["body"]] },
      factors: machines.to_h { |row| [row[:id], factors(row)] }
    }
  end

  def factors(row)
    Verglas::Application::Described
      .exercises(row)
      .map do |name|
        action = Verglas::Machines::Families.fetch(row[:family]).exercise(name).action
        Verglas::Application::MachineFactors
          .of(loft, row[:id], name.to_s, action, without: nil)
          .then { |factor| [factor.mean, factor.sd] }
      end
  end

  def here = machines.find { |row| row[:name] == "Leg extension 1" }

  def opened(person)
    id = call(:post, "/api/fittings", { client_id: person, machine_id: here[:id] })["id"]
    page = call(:get, "/api/fittings/#{id}")
    [id, page]
  end

  def checked(person)
    id, page = opened(person)
    accepted = { marks: page["marks"], version: page["version"], reason: "So.", knee_off_mm: 15, roller_seen: true }
    call(:post, "/api/fittings/#{id}/acceptance", accepted)
    expect(status).to eq(200), last_response.body
    set = { load_kg: 20, repetitions: 10, last: "clean", reached: 1, felt: nil, sign: nil, watched_by: nil, leg: "" }
    visit = call(:post, "/api/fittings/#{id}/sets", set)
    expect(status).to eq(201), last_response.body
    [id, visit["going_on"]["sets"].last["id"]]
  end

  it "gives the same from scratch as from what was kept" do
    learned
    kept = learned(kept: true)
    expect(kept[:bodies].values.compact).not_to be_empty
    expect(kept[:factors].values.flatten(1).map(&:last).min).to be < 0.3
    expect(learned).to eq(kept)
  end

  it "has nothing of what was taken back, and had something before" do
    before = learned
    fitting, set = checked(perpetua)
    expect(learned).not_to eq(before)
    call(:post, "/api/sets/#{set}/taking-back", {})
    expect(status).to eq(200), last_response.body
    version = db[:fittings].where(id: fitting).get(:version)
    call(:post, "/api/fittings/#{fitting}/taking-back", { reason: "The wrong person.", version: version })
    expect(status).to eq(200), last_response.body
    expect(learned).to eq(before)
  end

  it "has nothing of what a helper prepared and nobody accepted, nor of practising" do
    before = learned
    id, page = opened(perpetua)
    call(:patch, "/api/fittings/#{id}", { marks: page["marks"], version: page["version"], knee_off_mm: 30 })
    run = call(:post, "/api/practice/runs", { machine: here[:id], exercise: "", level: "plain" })
    [["ask", {}], ["accept", {}]].each_with_index do |(deed, given), after|
      call(:post, "/api/practice/runs/#{run["id"]}/actions", { after: after, deed: { do: deed, **given } })
    end
    expect(learned).to eq(before)
  end

  it "has nothing of a person who is no longer there" do
    before = learned
    person = client(loft, account, name: "Anselm Bray", sex: "man", stature: 1790, seat_to_kneecap: 628)
    checked(person[:id])
    expect(learned[:errors]).not_to eq(before[:errors])
    call(:post, "/api/clients/#{person[:id]}/erasure", { name: "Anselm Bray", version: 1, keep_marks: true })
    expect(status).to eq(200), last_response.body
    expect(learned).to eq(before)
  end
end
