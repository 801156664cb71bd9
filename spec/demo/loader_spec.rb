# frozen_string_literal: true

require "database_helper"
require_relative "../support/demo_gym"

RSpec.describe Verglas::Demo::Loader do
  before { TestDatabase.empty }

  let(:db) { Verglas::DB }

  it "fills an empty database with The Net Loft" do
    described_class.new(db).load
    expect(db[:gyms].get(:name)).to eq("The Net Loft")
    expect(db[:machines].select_order_map(:family)).to eq(
      %w[
        abduction
        adduction
        angled_hip
        belt_squat
        calf_raise
        combined
        curl
        curl
        curl
        extension
        extension
        hack_squat
        level_hip
        lying_curl
        lying_curl
        press_sled
        press_stack
      ]
    )
    expect(db[:clients].count).to be_between(12, 16)
    statures = db[:readings].where(observation: "stature").select_map(:value_mm).map(&:to_i)
    expect(statures.minmax).to eq([1480, 1990])
    expect(db[:fittings].where(state: "accepted").count).to be >= 15
    expect(db[:fittings].where(state: "draft").count).to eq(1)
  end

  it "leaves nothing behind when it fails half-way" do
    loader = described_class.new(db)
    allow(Verglas::Application::Meeting).to receive(:new).and_raise("broken")
    expect { loader.load }.to raise_error("broken")
    expect(db[:gyms].count).to eq(0)
  end

  it "holds no reading which would be taken for a slip" do
    DemoGym.lay(db)
    gym = Verglas::Store::Gym.new(db, db[:gyms].get(:id))
    gym.clients.dataset.each do |client|
      reports = Verglas::Application::ClientBody.estimation(client, gym.readings.of(client[:id])).reports
      expect(reports.map(&:refused)).to all(be(false)), client[:name]
    end
  end

  describe "the floor's things" do
    before { DemoGym.lay(db) }

    let(:loft) { Verglas::Store::Gym.new(db, db[:gyms].get(:id)) }

    it "loads every machine that is described with something, in its own unit, the light set below the working load" do
      rigs =
        loft
          .machines
          .all
          .select { |row| row[:loading] }
          .to_h { |row| [row[:name], Verglas::Loading::Rig.read(row[:loading].to_h, pairs: loft.equipment.plates)] }
      expect(rigs.values.map(&:kind).uniq).to match_array(%i[stack plates])
      expect(rigs.values.map(&:unit).uniq).to match_array(%i[kg lb])
      rigs.each_value do |rig|
        heaviest = rig.choices.choices.last
        expect(Verglas::Loading::Remarks.light_set(rig.choices, heaviest.mass_kg).mass_kg).to be < heaviest.mass_kg
      end
    end

    it "writes each load on a card as its machine prints it" do
      loads =
        db[:fittings]
          .where(state: "accepted")
          .exclude(load_cipher: nil)
          .all
          .map { |row| Verglas::Store::Sealed.open(:fittings, row).values_at(:machine_id, :load) }
      expect(loads.size).to be >= 8
      loads.each do |machine_id, load|
        row = loft.machines.find(machine_id)
        rig = Verglas::Loading::Rig.read(row[:loading].to_h, pairs: loft.equipment.plates)
        expect(
          rig.choices.choices.map { |choice| Verglas::Application::Told::Load.one(rig, choice)[:text] }
        ).to include(load)
      end
    end

    it "has a queue at the seated curl, limits of one client, and a step that everybody can take" do
      curl = loft.machines.all.find { |row| row[:name] == "Leg curl 1" }
      names = loft.queues.of(curl[:id], "")[:clients].map { |id| loft.clients.find(id)[:name] }
      expect(names).to eq(["Sunniva Quill", "Solveig Arkwright", "Ione Fairweather"])
      expect(
        loft.clients.find(loft.clients.dataset.where(name: "Sunniva Quill").get(:id))[
          :limits
        ].transform_values { |entry| entry["deg"] }
      ).to eq({ "ankle" => 39.6, "hip_bend" => 118.0 })
      loft
        .clients
        .dataset
        .select_map(:id)
        .each do |id|
          client = loft.clients.find(id)
          bench = Verglas::Application::Meeting.new(loft, client: client, machine_row: curl)
          expect(bench.steps.map(&:id)).to include("@before", "back pad", "roller", "thigh pad", "@again", "@watch")
        end
    end
  end
end
