# frozen_string_literal: true

require "database_helper"

RSpec.describe Verglas::Store::Tables::Fittings do
  let(:loft) { gym }
  let(:account) { staff(loft) }
  let(:here) { machine(loft) }
  let(:person) { client(loft, account, stature: 1700) }
  let(:marks) { { "back pad" => "3", "roller" => "C", "start" => "3" } }
  let(:draft) do
    loft
      .fittings
      .open(client_id: person[:id], machine_id: here[:id], description_number: 1, marks: marks, by: account)
      .first
  end

  it "opens one draft a client and machine: the second to come finds it" do
    again, made =
      loft.fittings.open(
        client_id: draft[:client_id],
        machine_id: here[:id],
        description_number: 1,
        marks: {
        },
        by: account
      )
    expect([again[:id], made]).to eq([draft[:id], false])
  end

  it "saves over the version that the writer saw, and over no other" do
    saved = loft.fittings.save(draft[:id], version: 1, marks: marks.merge("roller" => "D"), by: account)
    expect([saved[:version], saved[:marks]["roller"]]).to eq([2, "D"])
    expect { loft.fittings.save(draft[:id], version: 1, marks: marks, by: account) }.to raise_error(
      Verglas::Store::Stale
    ) { |stale| expect(stale.current[:marks]["roller"]).to eq("D") }
  end

  it "changes nothing once accepted" do
    loft.fittings.accept(draft[:id], version: 1, marks: marks, result: {}, computed_from: {}, by: account)
    expect { loft.fittings.save(draft[:id], version: 2, marks: marks, by: account) }.to raise_error(
      Verglas::Store::Stale
    )
    expect { loft.fittings.discard(draft[:id], version: 2, by: account) }.to raise_error(Verglas::Store::Stale)
  end

  it "lets two savers at once through one after the other: one wins, one is told" do
    draft
    results =
      Array
        .new(4) do |number|
          Thread.new do
            loft.fittings.save(draft[:id], version: 1, marks: marks.merge("start" => (number + 1).to_s), by: account)
            :saved
          rescue Verglas::Store::Stale
            :stale
          end
        end
        .map(&:value)
    expect(results.tally).to eq({ saved: 1, stale: 3 })
  end

  it "keeps marks in the machine's own order" do
    expect(loft.fittings.find(draft[:id])[:marks].keys).to eq(marks.keys)
  end
end

RSpec.describe Verglas::Store::Writes do
  let(:account) { staff(gym) }
  let(:writes) { described_class.new(db, account_id: account) }
  let(:key) { SecureRandom.uuid }

  it "does a write once and gives the same answer again" do
    count = 0
    2.times { expect(writes.once(key, "POST /x {}") { [201, "made #{count += 1}"] }).to eq([201, "made 1"]) }
  end

  it "refuses a key used for something else" do
    writes.once(key, "POST /x 1") { [200, ""] }
    expect { writes.once(key, "POST /x 2") { [200, ""] } }.to raise_error(Verglas::Invalid, /key used/)
  end

  it "forgets a key whose write failed, so that it can be tried again" do
    expect { writes.once(key, "r") { raise Verglas::Invalid, :slip } }.to raise_error(Verglas::Invalid)
    expect(writes.once(key, "r") { [200, "done"] }).to eq([200, "done"])
  end

  it "does it once even when both come at the same moment" do
    account
    mutex = Mutex.new
    done = 0
    answers =
      Array
        .new(3) do
          Thread.new do
            described_class
              .new(db, account_id: account)
              .once(key, "r") do
                sleep 0.05
                [200, mutex.synchronize { (done += 1).to_s }]
              end
          end
        end
        .map(&:value)
    expect([done, answers.uniq]).to eq([1, [[200, "1"]]])
  end

  it "keeps answers for a day" do
    writes.once(key, "r") { [200, ""] }
    db[:writes].update(created_at: Time.now - (25 * 3600))
    expect { described_class.sweep(db) }.to change { db[:writes].count }.to(0)
  end
end
