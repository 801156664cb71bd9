# frozen_string_literal: true

require "sequel"

Sequel.default_timezone = :utc

module Verglas
  module Store
    # The connection, its extensions and its migrations.
    module Database
      MIGRATIONS = File.join(__dir__, "migrations")
      CONNECTIONS = 8
      CONNECT_S = 3
      # For one of the connections to be free.
      WAIT_S = 10
      IDLE_S = 1

      module_function

      def connect(url)
        Sequel
          .connect(
            url,
            max_connections: CONNECTIONS,
            preconnect: false,
            after_connect: method(:prepare),
            connect_timeout: CONNECT_S,
            pool_timeout: WAIT_S
          )
          .tap do |db|
            # One that lay unused is asked whether it still lives: after the database was away, the first request finds
            # it again.
            db.extension :connection_validator
            db.pool.connection_validation_timeout = IDLE_S
            db.extension :pg_json
            db.wrap_json_primitives = true
          end
      end

      def prepare(connection)
        connection.exec("SET TIME ZONE 'UTC'")
        connection.exec("SET statement_timeout = '10s'")
        connection.exec("SET lock_timeout = '3s'")
      end

      def migrate(db)
        Sequel.extension :migration
        Sequel::Migrator.run(db, MIGRATIONS)
      end

      # Whether a newer program than this one made the database what it is.
      def newer?(db)
        return false unless db.table_exists?(:schema_info)

        db[:schema_info].get(:version) > Dir[File.join(MIGRATIONS, "*.rb")].map { |file| File.basename(file).to_i }.max
      end

      # Whether the database is as this code wants it.
      def current?(db)
        Sequel.extension :migration
        Sequel::Migrator.is_current?(db, MIGRATIONS)
      end

      # Whether there is room for what is written: something is, and taken back.
      def room?(db)
        db.transaction(rollback: :always) do
          db[:counters].insert(
            key_digest: Secrets.digest("room", :counter),
            count: 1,
            ends_at: Sequel::CURRENT_TIMESTAMP
          )
        end
        true
      rescue Sequel::DatabaseError => e
        raise unless e.wrapped_exception.is_a?(PG::DiskFull)

        false
      end
    end
  end
end
