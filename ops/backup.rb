# frozen_string_literal: true

require "fileutils"
require "json"
require "open3"
require "securerandom"
require "sequel"
require "tmpdir"
require_relative "backup_file"
require_relative "cluster"
require_relative "dump"
require_relative "keys"

module Verglas
  module Ops
    # The whole database as one file, encrypted, and back; and whether such a file is what it should be. What the keys
    # of health open stays encrypted in it: they lie elsewhere. docs/operating.md
    class Backup
      # What cannot be done, in one line with what to do.
      class Failure < StandardError
      end

      DATABASE = "verglas"
      READ = 1 << 16
      # What is thrown away need not survive a power cut.
      ASIDE = { fsync: "off", full_page_writes: "off" }.freeze

      # folder: where the server's data lie.
      def initialize(folder, tell: $stdout)
        Cluster.home(folder)
        @folder = folder
        @tell = tell
        @cluster = Cluster.new(File.join(folder, "postgres"))
      end

      # Whole or not at all; answers the file's name. While it is made people go on working.
      def make(file)
        raise Failure, "#{file} is there already: nothing was written" if File.exist?(file)

        running do
          made =
            with_snapshot do |manifest, snapshot|
              BackupFile
                .new(file, key)
                .write(manifest) do |sealed|
                  Dump.new(@cluster, DATABASE).out(snapshot) { |io| sealed.write(io.readpartial(READ)) until io.eof? }
                end
            end
          note(made, File.size(file))
          @tell.puts "#{file}: #{File.size(file)} bytes, of #{made}."
        end
        file
      end

      # Restores into a database aside, counts, opens something of what lies under each key, compares a digest a table;
      # then notes when. Raises Failure otherwise.
      def check(file)
        BackupFile.new(file, key).manifest
        scratch = Cluster.new(Dir.mktmpdir("verglas-check").tap { |made| File.chmod(0o755, made) }, settings: ASIDE)
        scratch.start
        manifest = filled(scratch, file)
        rows = manifest["digests"].sum { |_, (count, _)| count }
        @tell.puts "#{file} is whole: #{manifest["digests"].size} tables, #{rows} rows, of #{manifest["made_at"]}."
        running { note_checked(manifest) }
      ensure
        scratch&.destroy
        FileUtils.rm_rf(scratch.folder) if scratch
      end

      # Into a server that holds no gym; what is not right leaves it as empty as it was.
      def restore(file)
        alone do
          running do
            raise Failure, "a gym is here already: nothing was changed" if gyms?(@cluster.database(DATABASE))

            @cluster.drop(DATABASE)
            manifest, erased = taken_in(file)
            @tell.puts "Restored, of #{manifest["made_at"]}."
            @tell.puts "#{erased} who were erased since are gone." if erased.positive?
          end
        end
      end

      # The gym's key: made once, 32 bytes as hexadecimal digits. Without it no backup can be read.
      def key
        name = File.join(@folder, "backup_key")
        File.write(name, SecureRandom.hex(32), perm: 0o600) unless File.exist?(name)
        [File.read(name).strip].pack("H*")
      end

      private

      # In the place of a database that was empty, and is gone: what is half there goes too.
      def taken_in(file)
        whole = [filled(@cluster, file), repeat_erasures]
      ensure
        @cluster.drop(DATABASE) unless whole
      end

      # Nobody serves from this folder meanwhile.
      def alone
        File.open(File.join(@folder, "running"), File::RDWR | File::CREAT, 0o640) do |lock|
          raise Failure, "the server runs: stop it first" unless lock.flock(File::LOCK_EX | File::LOCK_NB)

          yield
        end
      end

      def running
        started = @cluster.start
        yield
      ensure
        @cluster.stop if started
      end

      # Yields the manifest and the name of the snapshot that it is of; answers when that was.
      def with_snapshot
        connected(@cluster.owner_url(DATABASE)) do |db|
          db.transaction(isolation: :repeatable) do
            manifest = {
              "made_at" => db.get(Sequel::CURRENT_TIMESTAMP).utc.iso8601,
              "schema" => db[:schema_info].get(:version),
              "digests" => digests(db)
            }
            yield manifest, db.get(Sequel.function(:pg_export_snapshot))
            manifest["made_at"]
          end
        end
      end

      def digests(db)
        require_relative "../store/digests"
        Store::Digests.of(db)
      end

      # Fills a database of this cluster that is not there yet, and proves it; answers the manifest.
      def filled(cluster, file)
        from = BackupFile.new(file, key)
        from.manifest.tap do |manifest|
          cluster.empty(DATABASE)
          Dump.new(cluster, DATABASE).into { |io| from.each { |part| io.write(part) } }
          prove(cluster, manifest)
        end
      end

      def prove(cluster, manifest)
        require_relative "../store/digests"
        connected(cluster.owner_url(DATABASE)) do |db|
          differing = Store::Digests.differing(manifest["digests"], Store::Digests.of(db))
          raise Failure, "not what was backed up: #{differing.join(", ")}" if differing.any?

          keys_open(db)
        end
      end

      # Raises KeyCheck's own failure, which says what to do.
      def keys_open(db)
        ENV["NOTES_KEY_FILE"] ||= Keys.new(ENV, folder: @folder).file unless ENV["NOTES_KEY"]
        ENV["DATABASE_URL"] = @cluster.database(DATABASE) if @cluster.running? && !ENV["DATABASE_URL"]
        require_relative "../config/application"
        Store::KeyCheck.new(db).call
      end

      def repeat_erasures
        kept = { Store::Erased::FILE => ENV.fetch(Store::Erased::FILE) { File.join(@folder, "erased") } }
        connected(@cluster.database(DATABASE)) do |db|
          Store::Database.migrate(db)
          Store::Erasure.repeat(db, kept)
        end
      end

      def gyms?(url) = connected(url) { |db| db.table_exists?(:gyms) && !db[:gyms].empty? }

      def note(made_at, bytes)
        backups { |table| table.insert_conflict.insert(made_at: made_at, bytes: bytes) }
      end

      # What the server tells of its backups, where its database is so new that it does.
      def backups
        connected(@cluster.database(DATABASE)) { |db| yield db[:backups] if db.table_exists?(:backups) }
      end

      def note_checked(manifest)
        backups { |table| table.where(made_at: manifest["made_at"]).update(checked_at: Sequel::CURRENT_TIMESTAMP) }
      end

      def connected(url)
        Sequel.default_timezone = :utc
        db = Sequel.connect(url, max_connections: 2)
        db.extension :pg_json
        db.wrap_json_primitives = true
        yield db
      ensure
        db&.disconnect
      end
    end
  end
end
