# frozen_string_literal: true

# Loads the core alone: no database, no web. Everything under core/ is found by its path (Zeitwerk).
require "zeitwerk"

module Verglas
  ROOT = File.expand_path("..", __dir__)
end

Zeitwerk::Loader.new.tap do |loader|
  loader.push_dir(File.join(Verglas::ROOT, "core"), namespace: Verglas)
  loader.setup
  loader.eager_load
end
Verglas::Machines::Families.close
