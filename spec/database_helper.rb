# frozen_string_literal: true

# For specs that need PostgreSQL: this project's own cluster on a free port, one database, emptied before each example. Where
# specs run side by side (TEST_ENV_NUMBER, of parallel_tests), each process has a cluster of its own.
require "spec_helper"
require_relative "../ops/cluster"

module TestDatabase
  CLUSTER = Verglas::Ops::Cluster.new(File.join(Verglas::ROOT, "var", "postgres-test#{ENV.fetch("TEST_ENV_NUMBER", nil)}"))
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

  def self.empty
    db = Verglas::DB
    tables = db.tables - [:schema_info]
    db.run("TRUNCATE #{tables.map { |table| db.literal(table) }.join(", ")} RESTART IDENTITY CASCADE")
  end

  def self.stop
    Verglas::DB.disconnect
    CLUSTER.stop if @started
  end
end

TestDatabase.prepare
require_relative "support/given"

RSpec.configure do |config|
  config.include Given, file_path: %r{/spec/(store|web|system)/}
  config.before(:each, file_path: %r{/spec/(store|web|system)/}) { TestDatabase.empty }
  config.after(:suite) { TestDatabase.stop }
end
