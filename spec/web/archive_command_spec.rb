# frozen_string_literal: true

require "web_helper"
require "tmpdir"
require_relative "../../ops/archive_command"

RSpec.describe Verglas::Ops::ArchiveCommand do
  let(:folder) { Dir.mktmpdir("verglas-archive") }
  let(:example) { File.join(Verglas::ROOT, "docs", "formats", "examples", "gym.json") }
  let(:told) { StringIO.new }

  after { FileUtils.rm_rf(folder) }

  def command(file) = described_class.new(file, tell: told)

  it "puts a gym into a server that has none, with a lead who can sign in, and takes it out again to the byte, for " \
       "its owner alone" do
    command(example).take(email: "maren@netloft.example", password: Given::PASSWORD)
    expect(told.string).to include("The Net Loft is here")
    sign_in
    expect(call(:post, "/api/clients/search", { text: "perpetua" })["clients"].size).to eq(1)
    out = File.join(folder, "gym.json")
    command(out).out(health: true)
    expect([File.read(out), File.stat(out).mode & 0o777]).to eq([File.read(example), 0o600])
    expect(db[Sequel[:kept][:audit]].select_map(:action)).to include("take_import", "export_gym_with_health_notes")
    expect { command(out).out(health: true) }.to raise_error(Errno::EEXIST)
  end

  it "leaves nothing of one that is refused, and touches no gym that is here" do
    spoilt = File.join(folder, "spoilt.json")
    File.write(spoilt, File.read(example).sub("\"extension\"", "\"rocket\""))
    expect { command(spoilt).take(email: "maren@netloft.example", password: Given::PASSWORD) }.to raise_error(
      Verglas::Invalid
    )
    expect(%i[gyms accounts clients].sum { |table| db[table].count }).to eq(0)
    allow(told).to receive(:print) { raise Interrupt } # Ctrl-C while it is looked through
    expect { command(example).take(email: "maren@netloft.example", password: Given::PASSWORD) }.to raise_error(
      Interrupt
    )
    expect(
      %i[gyms accounts account_password_hashes clients imports import_chunks import_pieces import_keys].sum do |table|
        db[table].count
      end
    ).to eq(0)
    gym
    expect { command(example).take(email: "maren@netloft.example", password: Given::PASSWORD) }.to raise_error(
      ArgumentError,
      /a gym here already/
    )
    expect { command(File.join(folder, "x")).out(health: false) }.to raise_error(ArgumentError, /nobody leads/)
    staff(Verglas::Store::Gym.new(db, db[:gyms].get(:id))).then do |id|
      db[:accounts].where(id: id).update(role: "lead")
    end
    allow(Verglas::Store::Archive::Outgoing).to receive(:new).and_raise(Interrupt)
    expect { command(File.join(folder, "x")).out(health: false) }.to raise_error(Interrupt)
    expect(Dir.children(folder)).to eq(["spoilt.json"])
  end
end
