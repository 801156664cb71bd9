# frozen_string_literal: true

# For specs that need PostgreSQL: this project's own cluster on a free port, one database, emptied before each example.
# Where specs run side by side (TEST_ENV_NUMBER, of parallel_tests), each process has a cluster of its own.
require "spec_helper"
require_relative "../ops/cluster"

module TestDatabase
  # What survives no power cut need not wait for the disk.
  CLUSTER =
    Verglas::Ops::Cluster.new(
      File.join(Verglas::ROOT, "var", "postgres-test#{ENV.fetch("TEST_ENV_NUMBER", nil)}"),
      settings: {
        fsync: "off",
        synchronous_commit: "off",
        full_page_writes: "off"
      }
    )
  NAME = "verglas_test"

  def self.prepare
    @started = CLUSTER.start
    CLUSTER.drop(NAME)
    ENV["DATABASE_URL"] = CLUSTER.database(NAME)
    ENV["SESSION_SECRET"] ||= "s" * 64
    ENV["NOTES_KEY"] ||= "0f" * 32
    ENV["APP_ENV"] = "test"
    require_relative "../config/application"
    Verglas::Store::Database.migrate(Verglas::DB)
  end

  # Those that hold something, in the order of their keys: emptying them one and all takes longer than most examples.
  def self.empty
    db = Verglas::DB
    full = filled.call.select { |row| row[:filled] }.map { |row| emptying_order[row[:place]] }
    db.run(full.map { |table| "DELETE FROM #{db.literal(table)}" }.join(";")) if full.any?
  end

  # Asked of all of them at once.
  def self.filled
    @filled ||=
      begin
        db = Verglas::DB
        asked =
          emptying_order.each_with_index.map do |table, place|
            "SELECT #{place} AS place, EXISTS (SELECT FROM #{db.literal(table)}) AS filled"
          end
        db.fetch(asked.join(" UNION ALL ")).prepare(:select, :filled_tables)
      end
  end

  # Every table before those it refers to.
  def self.emptying_order
    @emptying_order ||=
      begin
        db = Verglas::DB
        refers =
          (db.tables - [:schema_info]).to_h do |table|
            [table, db.foreign_key_list(table).map { |key| key[:table] } - [table]]
          end
        refers.keys.sort_by { |table| depth(table, refers) }.reverse
      end
  end

  def self.depth(table, refers) = 1 + refers.fetch(table).map { |other| depth(other, refers) }.max.to_i

  def self.stop
    Verglas::DB.disconnect
    CLUSTER.stop if @started
  end
end

TestDatabase.prepare
require_relative "support/given"

RSpec.configure do |config|
  Groups.given(config, Given, file_path: %r{/spec/(store|application|web|system)/})
  config.before(:each, file_path: %r{/spec/(store|application|web|system)/}) { TestDatabase.empty }
  config.after(:suite) { TestDatabase.stop }
end
