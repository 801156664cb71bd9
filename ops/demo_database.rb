# frozen_string_literal: true

require_relative "cluster"

module Verglas
  module Ops
    # The whole application on an emptied database of its own with the demo gym in it, for pictures and benchmarks.
    module DemoDatabase
      # name: of the database and of the cluster's folder. Yields with everything loaded; stops what it started.
      def self.with(name, environment:)
        cluster = Cluster.new(File.expand_path("../var/postgres-#{name}", __dir__))
        started = cluster.start
        cluster.drop("verglas_#{name}")
        ENV.update(
          "DATABASE_URL" => cluster.database("verglas_#{name}"),
          "SESSION_SECRET" => "s" * 64,
          "NOTES_KEY" => "0f" * 32,
          "APP_ENV" => environment
        )
        load_application
        yield
      ensure
        DB.disconnect if Verglas.const_defined?(:DB)
        cluster.stop if started
      end

      def self.load_application
        require_relative "../config/application"
        require_relative "../demo/loader"
        Store::Database.migrate(DB)
        Demo::Loader.new(DB).load
      end
      private_class_method :load_application
    end
  end
end
