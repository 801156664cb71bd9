# frozen_string_literal: true

require "database_helper"
require "tmpdir"
require_relative "../../ops/keys"

RSpec.describe Verglas::Store::KeyCheck do
  let(:secrets) { Verglas::Store::Secrets }
  let(:loft) { gym }
  let(:old) { "0f" * 32 }
  let(:folder) { Dir.mktmpdir }
  let(:file) { File.join(folder, "notes_key") }

  after do
    secrets.forget_keys
    FileUtils.rm_rf(folder)
  end

  def with_keys(text, file: nil)
    stub_const("ENV", ENV.to_h.merge("NOTES_KEY" => text, "NOTES_KEY_FILE" => file))
    secrets.forget_keys
  end

  def seal = loft.clients.insert(name: "Perpetua Lowe", detail: "the rower")
  def check = described_class.new(db).call
  def refused(message) = raise_error(described_class::Failure, message)

  it "opens what lies under the keys that are here, the newest and older ones" do
    seal
    expect { check }.not_to raise_error
    with_keys("1:#{"a1" * 32} 0:#{old}")
    loft.clients.insert(name: "Zoé Quill", detail: "late")
    expect { check }.not_to raise_error
  end

  it "names the id of a key that is missing and what to do, and no key" do
    seal
    with_keys("1:#{"a1" * 32}")
    expect { check }.to refused(
      /under the key with the id 0, and that key is not here\. Put the key back.*Nothing was changed\./
    )
    expect { check }.to(raise_error { |error| expect(error.message).not_to include("a1a1") })
  end

  it "tells another key under the same id from the right one" do
    seal
    with_keys("0:#{"a1" * 32}")
    expect { check }.to refused(/id 0 is not the one under which things lie encrypted/)
  end

  it "refuses rubbish, an empty file and a file that is not there, also where nothing lies encrypted yet" do
    ["rubbish", "", "0f0f"].each do |text|
      with_keys(text)
      expect { check }.to refused(/cannot be read/)
    end
    seal_with_the_right_key
    with_keys(nil, file: file)
    expect { check }.to refused(/cannot be read: No such file.*under the key with the id 0/)
  end

  def seal_with_the_right_key
    with_keys(old)
    seal
  end

  it "knows how a text begins that lies under a key, as the cryptor writes it" do
    expect(described_class.prefix(0)).to eq(secrets.current_prefix)
    seal
    expect(described_class.id_of(db[:clients].get(:detail_cipher))).to eq(0)
  end

  it "makes a key only where nothing lies encrypted" do
    with_keys(nil)
    keys = Verglas::Ops::Keys.new(ENV, folder: folder)
    keys.ready(db)
    expect(File.read(file)).to match(/\A\h{64}\z/)
    seal
    File.delete(file)
    secrets.forget_keys
    expect { keys.ready(db) }.to refused(/No such file/)
    expect(File.exist?(file)).to be(false)
  end
end
