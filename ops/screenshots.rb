# frozen_string_literal: true

# What bin/screenshots does: the demo gym in a browser, one PNG a main view. With a folder as argument the pictures go there.
require_relative "cluster"
require "fileutils"
require "logger"

root = File.expand_path("..", __dir__)
folder = File.expand_path(ARGV[0] || File.join(root, "docs", "screenshots"))
only = ARGV.drop(1)
FileUtils.mkdir_p(folder)

cluster = Verglas::Ops::Cluster.new(File.join(root, "var", "postgres-screenshots"))
started = cluster.start
begin
  cluster.drop("verglas_screenshots")
  ENV["DATABASE_URL"] = cluster.database("verglas_screenshots")
  ENV["SESSION_SECRET"] = "s" * 64
  ENV["APP_ENV"] = "test"
  require_relative "../config/application"
  require_relative "../demo/loader"
  Verglas::Store::Database.migrate(Verglas::DB)
  Verglas::Demo::Loader.new(Verglas::DB).load
  require_relative "pictures"
  Verglas::Ops::Pictures.new(folder).take(only)
ensure
  Verglas::DB.disconnect if defined?(Verglas::DB)
  cluster.stop if started
end
