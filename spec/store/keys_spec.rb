# frozen_string_literal: true

require "database_helper"

RSpec.describe Verglas::Store::Rekeying do
  let(:secrets) { Verglas::Store::Secrets }
  let(:loft) { gym }
  let(:maren) { staff(loft) }
  let!(:person) { loft.clients.insert(name: "Perpetua Lowe", detail: "the rower") }
  let(:old) { "0f" * 32 }
  let(:new) { "a1" * 32 }

  def with_keys(text, file: nil)
    stub_const("ENV", ENV.to_h.merge("NOTES_KEY" => file ? nil : text, "NOTES_KEY_FILE" => file))
    secrets.forget_keys
  end

  before do
    loft.clients.measure(person[:id], version: 1, limits: { "ankle" => { "deg" => 30 } })
    12.times { |number| loft.clients.insert(name: "Client #{number}", detail: "number #{number}") }
    loft.cautions.put(
      person[:id],
      "back",
      version: nil,
      by: maren,
      note: "Since spring.",
      cleared_by: "Dr Fenwick",
      cleared_on: "2026-03-02"
    )
    loft.rules.set_for_client(person[:id], "tempo", "slow", reason: "Her wrist.", by: maren)
    Verglas::Store::Writes.new(db, account_id: maren).once(SecureRandom.uuid, "a request") { [200, "an answer"] }
  end

  after { secrets.forget_keys }

  it "turns everything to the newest key, with progress, and lets the old one go" do
    with_keys("1:#{new} 0:#{old}")
    told = []
    stub_const("#{described_class}::ROWS", 5)
    expect(described_class.new(db).call { |now| told << now }).to eq(16)
    expect(told).to include({ table: :clients, done: 5, of: 13 }, { table: :clients, done: 13, of: 13 })
    with_keys("1:#{new}")
    expect(loft.clients.find(person[:id])).to include(detail: "the rower", limits: { "ankle" => { "deg" => 30 } })
    expect(loft.cautions.of(person[:id]).first).to include(
      caution: "back",
      note: "Since spring.",
      cleared_by: "Dr Fenwick"
    )
    expect(described_class.new(db).left).to eq(0)
  end

  it "goes on where it was stopped, and what is written meanwhile lies under the new key" do
    with_keys("1:#{new} 0:#{old}")
    stub_const("#{described_class}::ROWS", 5)
    stopped = Class.new(StandardError)
    expect { described_class.new(db).call { raise stopped } }.to raise_error(stopped)
    expect(described_class.new(db).left).to eq(11)
    loft.clients.insert(name: "Zoé Quill", detail: "late")
    expect(described_class.new(db).call { nil }).to eq(11)
  end

  it "still holds one caution of a kind and one namesake of a detail while two keys are in use" do
    with_keys("1:#{new} 0:#{old}")
    expect { loft.cautions.put(person[:id], "back", version: nil, by: maren, note: "") }.to raise_error(
      Verglas::Store::Stale
    )
    described_class.new(db).call { nil }
    expect { loft.cautions.put(person[:id], "back", version: nil, by: maren, note: "") }.to raise_error(
      Verglas::Store::Stale
    )
    expect { loft.clients.insert(name: "Perpetua Lowe", detail: "The Rower") }.to raise_error(
      Verglas::Invalid
    ) { |error| expect(error.code).to eq(:namesake) }
  end

  it "answers a request that is sent again as before, under the new key too" do
    key = SecureRandom.uuid
    writes = Verglas::Store::Writes.new(db, account_id: maren)
    writes.once(key, "a request") { [200, "an answer"] }
    with_keys("1:#{new} 0:#{old}")
    described_class.new(db).call { nil }
    expect(writes.once(key, "a request") { raise "done twice" }).to eq([200, "an answer"])
  end

  it "finds a key that was put into the file while the server runs" do
    file = Tempfile.new("keys")
    File.write(file.path, "0:#{old}\n")
    with_keys(nil, file: file.path)
    expect(loft.clients.find(person[:id])[:detail]).to eq("the rower")
    File.write(file.path, "1:#{new}\n0:#{old}\n")
    theirs =
      Sequel::Plugins::ColumnEncryption::Cryptor.new([[1, [new].pack("H*"), "detail", 16]]).encrypt(
        "by another process"
      )
    expect(secrets.open(theirs, :detail)).to eq("by another process")
  end

  it "refuses what is no key, and never repeats it" do
    ["", "0f", "x:#{old}", "300:#{old}", "1:#{old} 1:#{new}", "#{old} #{new}"].each do |text|
      expect { Verglas::Store::Keys.new(text) }.to raise_error(ArgumentError) { |error|
        expect(error.message).not_to include(old)
      }
    end
  end
end
