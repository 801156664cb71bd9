# frozen_string_literal: true

require_relative "cluster"

module Verglas
  module Ops
    # The database of DATABASE_URL, or the demo's, for a command that runs beside the server or without it: started if
    # need be, brought up to date.
    module Prepared
      module_function

      # keys: of health; folder: where the start command keeps what it makes. Yields with everything loaded.
      def with(keys, environment = ENV, folder: File.expand_path("../var", __dir__))
        cluster, started = environment["DATABASE_URL"] ? nil : begun(environment, folder)
        require_relative "../config/application"
        keys.ready(DB)
        Store::Database.migrate(DB)
        yield
      ensure
        DB.disconnect if Verglas.const_defined?(:DB)
        cluster.stop if started
      end

      # [cluster, whether it was started here]
      def begun(environment, folder)
        cluster = Cluster.new(File.join(folder, "postgres"))
        started = cluster.start
        environment["DATABASE_URL"] = cluster.database("verglas")
        [cluster, started]
      end
      private_class_method :begun
    end
  end
end
