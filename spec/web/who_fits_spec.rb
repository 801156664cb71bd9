# frozen_string_literal: true

require "web_helper"
require_relative "../support/demo_gym"

RSpec.describe "Who fits, over all machines" do
  let!(:loft) { Verglas::Store::Gym.new(db, DemoGym.lay(db)) }

  before { sign_in(password: Verglas::Demo::Loader::SIGN_IN[:password]) }

  def asked(action = nil) = call(:get, "/api/who-fits#{"?action=#{action}" if action}")

  it "counts each machine of an action as its own page does, the most fitted first" do
    told = asked("knee_extension")
    expect(told["machines"].size).to be > 2
    order = told["machines"].map { |one| [-one["fit"], -one["bands"].first["people"]] }
    expect(order).to eq(order.sort)
    told["machines"].each do |one|
      alone = call(:get, "/api/machines/#{one["machine_id"]}/population?exercise=#{one["exercise"]}")
      expect(one["bands"].to_h { |band| band.values_at("band", "people") }.reject { |_, count| count.zero? }).to eq(
        alone["people"].map { |person| person["grade"] }.tally
      )
    end
  end

  it "names whom none of them fits, and nobody else" do
    readings = db[:readings].where(gym_id: loft.id)
    giant = readings.where(observation: "stature").get(:client_id)
    readings.where(client_id: giant, observation: "stature").update(value_mm: 2250)
    readings.where(client_id: giant).exclude(observation: "stature").delete
    told = asked("knee_extension")
    expect(told["nobody"].map { |one| one["id"] }).to include(giant)
    expect(told["nobody"].size).to be < told["asked"]
  end

  it "begins with one of the gym's actions, and refuses one that it has no machine for" do
    told = asked
    expect(told["actions"].map { |one| one["name"] }).to include(told["action"])
    asked("flying")
    expect(status).to eq(422)
  end

  it "names the reading that helps most people, as each client's own page has it" do
    told = call(:get, "/api/best-reading")
    own = loft.clients.dataset.select_map(:id).filter_map { |id| call(:get, "/api/clients/#{id}")["next"] }
    expect(told["asked"]).to eq(loft.clients.dataset.count)
    expect(told["lengths"].sum { |one| one["people"] }).to be <= told["asked"]
    expect(own).to include(told["lengths"].first["observation"])
    counts = told["lengths"].map { |one| one["people"] }
    expect(counts).to eq(counts.sort.reverse)
  end

  describe "with a machine that might be bought" do
    let(:by) { db[:accounts].where(gym_id: loft.id, role: "lead").get(:id) }
    let!(:sheet) { machine(loft, "slide_back", name: "Leg extension 7") }

    def version = loft.machines.find(sheet[:id])[:version]

    before { loft.machines.update(sheet[:id], version: version, by: by, state: "considered") }

    it "tells whom it would fit, beside those that stand here, and counts nobody as served by it" do
      told = asked("knee_extension")
      would = told["machines"].find { |one| one["machine_id"] == sheet[:id] }
      expect(would).to include("considered" => true, "fit" => be_positive)
      expect(told["machines"].count { |one| one["considered"] }).to eq(1)
      loft.machines.in_service.each do |row|
        loft.machines.update(row[:id], version: row[:version], by: by, state: "retired")
      end
      expect(asked("knee_extension")["nobody"].size).to eq(told["asked"])
    end

    it "fits nobody on it, offers it nowhere, and is worked out in another's place but not put there" do
      person = loft.clients.dataset.where(name: "Perpetua Lowe").get(:id)
      opened = call(:post, "/api/fittings", { client_id: person, machine_id: sheet[:id] })
      expect([status, opened["code"]]).to eq([422, "machine_considered"])
      predicted = call(:get, "/api/clients/#{person}/predictions")["predictions"]
      expect(predicted.map { |one| one["machine_id"] }).not_to include(sheet[:id])
      old = loft.machines.in_service.find { |row| row[:name] == "Leg extension 1" }
      path = "/api/machines/#{old[:id]}/replacement"
      expect(call(:get, "#{path}?instead=#{sheet[:id]}")["lines"]).not_to be_empty
      put = call(:post, path, { instead: sheet[:id], version: old[:version] })
      expect([status, put["code"]]).to eq([422, "machine_considered"])
    end

    it "is nothing that a machine can become on which people were fitted" do
      old = loft.machines.in_service.find { |row| row[:name] == "Leg extension 1" }
      changed = call(:patch, "/api/machines/#{old[:id]}", { state: "considered", version: old[:version] })
      expect([status, changed["code"]]).to eq([422, "machine_used"])
      bought = call(:patch, "/api/machines/#{sheet[:id]}", { state: "in_use", version: version })
      expect(bought["machine"]["state"]).to eq("in_use")
    end
  end
end
