# frozen_string_literal: true

# What bin/screenshots does: the demo gym in a browser, one PNG a main view.   [NAME...]
require_relative "demo_database"
require "fileutils"

folder = File.expand_path("../docs/screenshots", __dir__)
FileUtils.mkdir_p(folder)
Verglas::Ops::DemoDatabase.with("screenshots", environment: "test") do
  require_relative "pictures"
  Verglas::Ops::Pictures.new(folder).take(ARGV)
end
