# frozen_string_literal: true

# Loads everything: core, formats, store and web, on the database of DATABASE_URL.
require_relative "formats"

module Verglas
  module Store
  end
  module Application
  end
  module Web
  end
  load_folder("store", namespace: Store, ignore: ["migrations"])
  unless const_defined?(:DB)
    DB = Store::Database.connect(ENV.fetch("DATABASE_URL"), pooled: !ENV["DATABASE_POOLED"].to_s.empty?)
  end
  load_folder("application", namespace: Application, ignore: ["pictures"])
  load_folder("web", namespace: Web)
end
