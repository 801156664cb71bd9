# frozen_string_literal: true

require "database_helper"

RSpec.describe Verglas::Store::Planned do
  let(:pooled) { Verglas::Store::Database.connect(ENV.fetch("DATABASE_URL"), pooled: true) }
  let(:loft) { gym }
  let(:account) { staff(loft) }
  let!(:person) { client(loft, account, name: "Perpetua Lowe", stature: 1648) }

  after { pooled.disconnect }

  it "answers the same behind a pooler, where nothing stays planned" do
    loft.cautions.put(person[:id], "loose_joints", version: nil, by: account, note: "")
    there = Verglas::Store::Gym.new(pooled, loft.id)
    expect(there.readings.of(person[:id])).to eq(loft.readings.of(person[:id]))
    expect(there.cautions.of(person[:id])).to eq(loft.cautions.of(person[:id]))
    expect(Verglas::Store::Staff.find(pooled, account)).to eq(Verglas::Store::Staff.find(db, account))
    expect(pooled.fetch("SELECT count(*) FROM pg_prepared_statements").single_value!).to eq(0)
    expect(db.fetch("SELECT count(*) FROM pg_prepared_statements").single_value!).to be_positive
  end
end

RSpec.describe Verglas::Store::Database do
  it "says what a connection is not set to, where a pooler stands between and its role is not" do
    pooled = described_class.connect(ENV.fetch("DATABASE_URL"), pooled: true)
    expect(described_class.unset(db)).to eq([])
    expect(described_class.unset(pooled)).to include("statement_timeout", "lock_timeout")
  ensure
    pooled.disconnect
  end

  it "takes the one of several hosts that can be written to" do
    url = ENV.fetch("DATABASE_URL").sub("@127.0.0.1:", "@127.0.0.1:1,127.0.0.1:")
    several = described_class.connect("#{url}?target_session_attrs=read-write")
    expect(several.get(1)).to eq(1)
  ensure
    several.disconnect
  end

  it "is brought up to date by one program at a time: the other waits, and finds it done" do
    holder = described_class.connect(ENV.fetch("DATABASE_URL"))
    told = Queue.new
    other = nil
    holder.transaction do
      holder.get(Sequel.function(:pg_advisory_xact_lock, described_class::MIGRATING))
      other = Thread.new { described_class.alone(db) { told << "went on" } }
      sleep(0.3)
      expect(told).to be_empty
    end
    other.join(5)
    expect(told.size).to eq(1)
  ensure
    holder.disconnect
  end
end
