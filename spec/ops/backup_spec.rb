# frozen_string_literal: true

require "database_helper"
require_relative "../../ops/backup_command"
require_relative "../../ops/own_gym"

# A backup is made, checked and restored; what is wrong with one is said, and nothing is lost.
RSpec.describe Verglas::Ops::Backup do
  include Given

  let(:folder) { Dir.mktmpdir("verglas-backup").tap { |made| File.chmod(0o755, made) } }
  let(:cluster) { Verglas::Ops::Cluster.new(File.join(folder, "postgres")) }
  let(:file) { File.join(folder, "gym.verglas") }
  let(:told) { StringIO.new }
  let(:backup) { described_class.new(folder, tell: told) }
  let(:held) { {} }

  before do
    cluster.start
    Verglas::Store::Database.migrate(db)
  end

  after do
    db.disconnect
    cluster.destroy
    FileUtils.rm_rf(folder)
  end

  # Of the cluster in the folder, until it is emptied.
  def db = held[:db] ||= Verglas::Store::Database.connect(cluster.database("verglas"))

  def people = db[:clients].order(:name).select_map(:name)

  # A gym with two clients, one with a caution; what was done stands in the trail.
  def filled
    loft = gym
    by = staff(loft)
    rows = %w[Ione Perpetua].map { |name| client(loft, by, name: name, stature: 1700) }
    loft.cautions.put(rows.first[:id], "knee", version: nil, by: by, note: "since the spring")
    loft.trail.add("put_caution", by: by, subject: rows.first[:id])
    [loft, rows]
  end

  # As a server that was made anew, with the keys that were kept apart.
  def emptied
    held.delete(:db).disconnect
    cluster.drop("verglas")
  end

  it "makes one encrypted file, proves it aside, and fills an empty server with the same" do
    filled
    before = Verglas::Store::Digests.of(db)
    backup.make(file)
    expect(File.stat(file).mode & 0o777).to eq(0o600)
    expect(File.binread(file)).not_to match(/Ione|Perpetua|CREATE TABLE|PGDMP/)
    backup.check(file)
    expect(told.string).to match(/whole: \d+ tables, \d+ rows/)
    expect(db[:backups].get(:checked_at)).not_to be_nil
    emptied
    backup.restore(file)
    expect(Verglas::Store::Digests.differing(before, Verglas::Store::Digests.of(db))).to eq([])
    loft = Verglas::Store::Gym.new(db, db[:gyms].get(:id))
    expect(loft.cautions.of(db[:clients].first(name: "Ione")[:id]).first[:note]).to eq("since the spring")
    expect { db.run("UPDATE kept.audit SET action = 'nothing'") }.to raise_error(Sequel::DatabaseError)
  end

  it "leaves out who was erased since" do
    ENV["ERASED_FILE"] = File.join(folder, "erased")
    loft, rows = filled
    backup.make(file)
    Verglas::Store::Erasure.new(loft).call([loft.clients.find(rows.last[:id])], keep_marks: false, gone: [404, "{}"])
    expect(File.read(ENV.fetch("ERASED_FILE"))).not_to include(rows.last[:id])
    emptied
    backup.restore(file)
    expect(people).to eq(%w[Ione])
    expect(told.string).to include("1 who were erased since")
  ensure
    ENV.delete("ERASED_FILE")
  end

  it "leaves out somebody whose record was part of another one when it was made, and keeps that one" do
    ENV["ERASED_FILE"] = File.join(folder, "erased")
    loft, (kept, other) = filled
    by = db[:accounts].get(:id)
    loft.joins.join(other[:id], kept[:id], by: by, taken: [])
    alike = loft.clients.insert(other.slice(:name, :detail))
    backup.make(file)
    loft.clients.dataset.where(id: alike[:id]).delete
    loft.joins.apart(loft.joins.of(kept[:id]).first)
    Verglas::Store::Erasure.new(loft).call([loft.clients.find(other[:id])], keep_marks: false, gone: [404, "{}"])
    emptied
    backup.restore(file)
    expect(people).to contain_exactly("Ione", other[:name])
    expect(db[:clients].select_map(:id)).to contain_exactly(kept[:id], alike[:id])
  ensure
    ENV.delete("ERASED_FILE")
  end

  it "refuses a file that was changed, cut off, of another key or none at all, and a server that holds a gym" do
    filled
    backup.make(file)
    bytes = File.binread(file)
    spoilt = {
      "changed" => bytes.dup.tap { |some| some.setbyte(bytes.size / 2, some.getbyte(bytes.size / 2) ^ 1) },
      "short" => bytes[0..-200],
      "none" => "hello"
    }
    spoilt.each do |name, some|
      File.binwrite("#{file}.#{name}", some)
      expect { backup.check("#{file}.#{name}") }.to raise_error(Verglas::Ops::SealedFile::Broken), name
    end
    expect { backup.make(file) }.to raise_error(described_class::Failure, /already/)
    expect { backup.restore(file) }.to raise_error(described_class::Failure, /a gym is here/)
    expect(people).to eq(%w[Ione Perpetua])
    File.write(File.join(folder, "backup_key"), "0" * 64)
    expect { backup.check(file) }.to raise_error(Verglas::Ops::SealedFile::Broken, /another key/)
  end

  it "leaves an empty server empty where the file is not right" do
    filled
    backup.make(file)
    File.binwrite(file, File.binread(file)[0..-200])
    emptied
    expect { backup.restore(file) }.to raise_error(Verglas::Ops::SealedFile::Broken)
    expect(db.tables).to eq([])
  end

  it "lets a newer version change the database only with a backup of today, and an older one not at all" do
    filled
    start = Verglas::Ops::OwnGym.new(folder, {})
    expect { start.before_change(db) }.to raise_error(Verglas::Ops::Cluster::Failure, /bin.backup first/)
    expect do
      Verglas::Ops::OwnGym.new(folder, { "UPGRADE_WITHOUT_BACKUP" => "yes" }).before_change(db)
    end.not_to raise_error
    db[:backups].insert(made_at: Time.now - (2 * 86_400), bytes: 1)
    expect { start.before_change(db) }.to raise_error(Verglas::Ops::Cluster::Failure)
    db[:backups].insert(made_at: Time.now - 60, bytes: 1)
    expect { start.before_change(db) }.not_to raise_error
    expect(Verglas::Store::Database.newer?(db)).to be(false)
    db[:schema_info].update(version: 9999)
    expect(Verglas::Store::Database.newer?(db)).to be(true)
  end

  it "takes a folder for a new file named by the time, and for the newest there" do
    filled
    now = Time.utc(2026, 11, 30, 3, 15)
    Verglas::Ops::BackupCommand.call("make", folder, backup, now: now)
    expect(File).to exist(File.join(folder, "2026-11-30T031500Z.verglas"))
    Verglas::Ops::BackupCommand.call("check", folder, backup)
    expect(told.string).to include("is whole")
  end
end

RSpec.describe Verglas::Ops::SealedFile do
  let(:key) { "k" * 32 }

  def sealed(*parts)
    io = StringIO.new("".b)
    writer = described_class::Writer.new(io, key)
    parts.each { |part| writer.write(part) }
    writer.finish
    io.string
  end

  def opened(bytes, key) = +"".b.tap { |read| described_class.read(StringIO.new(bytes), key) { |piece| read << piece } }

  it "gives back what was written, of any length, and the same text never as the same bytes" do
    size = described_class::PIECE
    [0, 1, size - 1, size, size + 1, (2 * size) + 5].each do |length|
      text = Random.new(length).bytes(length)
      expect(opened(sealed(*text.scan(/.{1,90000}/mn)), key) == text).to be(true), length.to_s
    end
    expect(sealed("same")).not_to eq(sealed("same"))
  end

  it "takes no piece from another place, none twice, none left out, and none cut off" do
    size = described_class::PIECE
    bytes = sealed("a" * size, "b" * size, "c")
    head = described_class::HEAD.bytesize + described_class::SALT
    pieces = bytes[head..].unpack("a#{size + 20}a#{size + 20}a*")
    [[1, 0, 2], [0, 0, 1, 2], [0, 2], [0, 1], [0]].each do |order|
      moved = bytes[0, head] + pieces.values_at(*order).join
      expect { opened(moved, key) }.to raise_error(described_class::Broken), order.to_s
    end
    expect { opened(bytes, "x" * 32) }.to raise_error(described_class::Broken)
  end
end
