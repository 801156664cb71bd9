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

      # What each connection is set to.
      SETTINGS = { "timezone" => "UTC", "statement_timeout" => "10s", "lock_timeout" => "3s" }.freeze
      # Where a database is, of what a connection is told.
      ADDRESS = %i[adapter conn_str host port user password database].freeze
      # No two programs bring one database up to date.
      MIGRATING = 3_281_002

      module_function

      # url: of one server, or of several of which that is used which can be written to (libpq's list of hosts). pooled:
      # whether a pooler stands between that hands connections from one transaction to the next: then the role itself is
      # set to SETTINGS, and nothing is planned for a connection.
      def connect(url, pooled: false)
        Sequel
          .connect(
            **server(url),
            max_connections: CONNECTIONS,
            preconnect: false,
            after_connect: pooled ? nil : method(:prepare),
            pool_timeout: WAIT_S,
            pooled: pooled
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

      def server(url)
        { adapter: "postgres", conn_str: "#{url}#{url.include?("?") ? "&" : "?"}connect_timeout=#{CONNECT_S}" }
      end
      private_class_method :server

      def prepare(connection) = SETTINGS.each { |name, value| connection.exec("SET #{name} = '#{value}'") }

      # Names of what a connection is not set to.
      def unset(db) = SETTINGS.reject { |name, value| db.fetch("SHOW #{name}").single_value! == value }.keys

      # Whoever comes while another does it waits, and finds it done.
      def migrate(db)
        Sequel.extension :migration
        return if Sequel::Migrator.is_current?(db, MIGRATIONS)

        alone(db) { Sequel::Migrator.run(db, MIGRATIONS) }
      end

      # The lock is held by a transaction of another connection, for a migration has transactions of its own.
      def alone(db)
        holder = Sequel.connect(**db.opts.slice(*ADDRESS), max_connections: 1)
        holder.transaction do
          holder.get(Sequel.function(:pg_advisory_xact_lock, MIGRATING))
          yield
        end
      ensure
        holder&.disconnect
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
