# frozen_string_literal: true

# Loads the core alone: no database, no web. Everything under core/ is found by its path (Zeitwerk).
require_relative "compiled"
require "zeitwerk"

module Verglas
  ROOT = File.expand_path("..", __dir__)

  # Loads a folder of this project below a namespace.
  def self.load_folder(folder, namespace: Verglas, ignore: [])
    loader = Zeitwerk::Loader.new
    loader.push_dir(File.join(ROOT, folder), namespace: namespace)
    ignore.each { |name| loader.ignore(File.join(ROOT, folder, name)) }
    loader.setup
    loader.eager_load
  end

  load_folder("core")
  Closing.call
end
