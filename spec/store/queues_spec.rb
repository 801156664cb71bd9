# frozen_string_literal: true

require "database_helper"

RSpec.describe Verglas::Store::Tables::Queues do
  let(:loft) { gym }
  let(:account) { staff(loft) }
  let(:here) { machine(loft)[:id] }
  let(:queues) { loft.queues }
  let(:ids) { %w[Ada Bas].map { |name| client(loft, account, name: name)[:id] } }

  def put(clients, version) = queues.put(here, "", clients: clients, version: version, by: account)

  it "is empty until somebody waits, and keeps the order" do
    expect(queues.of(here, "")).to eq({ clients: [], standing: nil, version: 0 })
    put(ids.reverse, 0)
    expect(queues.of(here, "")).to include(clients: ids.reverse, version: 1)
  end

  it "tells where the machine stands without moving the list on, before or after there is one" do
    queues.stands(here, "", { "roller" => "B" }, by: account)
    expect(queues.of(here, "")).to eq({ clients: [], standing: { "roller" => "B" }, version: 0 })
    put(ids, 0)
    queues.stands(here, "", { "roller" => "C" }, by: account)
    expect(queues.of(here, "")).to eq({ clients: ids, standing: { "roller" => "C" }, version: 1 })
  end

  it "is written over the version that was seen alone: of two at once, one is told" do
    put(ids, 0)
    outcomes =
      Array
        .new(2) do |index|
          Thread.new do
            put([ids[index]], 1)
            :kept
          rescue Verglas::Store::Stale
            :stale
          end
        end
        .map(&:value)
    expect(outcomes).to contain_exactly(:kept, :stale)
    expect(queues.of(here, "")).to include(version: 2)
  end

  it "keeps the exercises of a station, and the gyms, apart" do
    put(ids, 0)
    expect(queues.of(here, "curl")[:clients]).to be_empty
    expect(gym("The Sail Shed").queues.of(here, "")[:clients]).to be_empty
  end
end

RSpec.describe Verglas::Store::Tablets do
  let(:loft) { gym }
  let!(:maren) { staff(loft) }
  let(:tablet) { "0b7f0a52-0000-4000-8000-00000000000a" }
  let(:tablets) { described_class.new(db) }

  def try(pin, known: "2468") = tablets.try(tablet, maren, same_gym_as: maren) { |_hash| pin == known }

  before do
    tablets.signed_in(tablet, maren)
    tablets.put_pin(maren, "hash")
  end

  it "counts a wrong PIN before it is looked at, so that many at once are no way round" do
    tries = Array.new(12) { Thread.new { try("0000") } }.map(&:value)
    expect(tries.tally).to eq({ pin_refused: 5, pin_locked: 7 })
    expect(try("2468")).to eq(:pin_locked)
  end

  it "forgives after the right one, and after a full sign-in" do
    3.times { try("0000") }
    expect([try("2468"), db[:account_pins].get(:failures)]).to eq([nil, 0])
    5.times { try("0000") }
    tablets.signed_in(tablet, maren)
    expect(try("2468")).to be_nil
  end

  it "knows nobody whose account was closed" do
    db[:accounts].where(id: maren).update(status_id: 3)
    expect([try("2468"), tablets.staff(tablet, gym_of: maren)]).to eq([:pin_missing, []])
  end
end
