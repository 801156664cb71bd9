# frozen_string_literal: true

require "database_helper"
require_relative "../../demo/loader"

RSpec.describe Verglas::Demo::Loader do
  before { TestDatabase.empty }

  let(:db) { Verglas::DB }

  it "fills an empty database with The Net Loft" do
    described_class.new(db).load
    expect(db[:gyms].get(:name)).to eq("The Net Loft")
    expect(db[:machines].select_order_map(:family)).to eq(%w[combined curl curl curl extension extension lying_curl lying_curl])
    expect(db[:clients].count).to be_between(12, 16)
    statures = db[:readings].where(observation: "stature").select_map(:value_mm).map(&:to_i)
    expect(statures.minmax).to eq([1480, 1990])
    expect(db[:fittings].where(state: "accepted").count).to be >= 15
    expect(db[:fittings].where(state: "draft").count).to eq(1)
  end

  it "leaves nothing behind when it fails half-way" do
    loader = described_class.new(db)
    allow(Verglas::Web::Bench).to receive(:new).and_raise("broken")
    expect { loader.load }.to raise_error("broken")
    expect(db[:gyms].count).to eq(0)
  end

  it "holds no reading which would be taken for a slip" do
    described_class.new(db).load
    gym = Verglas::Store::Gym.new(db, db[:gyms].get(:id))
    gym.clients.dataset.each do |client|
      reports = Verglas::Web::Inputs::ClientBody.estimation(client, gym.readings.of(client[:id])).reports
      expect(reports.map(&:refused)).to all(be(false)), client[:name]
    end
  end
end
