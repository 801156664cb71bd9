# frozen_string_literal: true

module Verglas
  module Store
    # Turns everything that lies encrypted to the newest key, some rows at a time: each is turned under its own lock,
    # what lies under that key already is left alone, so it may run beside the server, be stopped at any time and be
    # begun again.
    class Rekeying
      ROWS = 500
      # A table's key, {column => purpose} of what lies encrypted in it, and the other columns that a digest is made of.
      Table = Struct.new(:name, :key, :ciphers, :digested)

      SEALED =
        Sealed::FIELDS
          .to_h { |name, fields| [name, fields.to_h { |field, how| [:"#{field}_cipher", how.purpose] }] }
          .freeze
      KEYS = {
        client_rules: %i[client_id question],
        refit_snoozes: %i[client_id machine_id exercise],
        import_chunks: %i[import_id number],
        import_pieces: %i[import_id number]
      }.freeze
      DIGESTED = { clients: [:gym_id], client_cautions: [:client_id] }.freeze
      TABLES = [
        *SEALED.map { |name, ciphers| Table.new(name, KEYS.fetch(name, [:id]), ciphers, DIGESTED.fetch(name, [])) },
        Table.new(:writes, %i[account_id key], { body: :answer }, [])
      ].freeze

      def initialize(db)
        @db = db
      end

      # Yields {table:, done:, of:} after some rows each; answers how many rows were turned.
      def call(&told)
        TABLES.sum { |table| turn(table, &told) }
      end

      # How many rows still lie under an older key.
      def left = TABLES.sum { |table| older(table).count }

      private

      def turn(table)
        of = older(table).count
        done = 0
        while (turned = some(table)).positive?
          done += turned
          yield({ table: table.name, done: done, of: [of, done].max })
        end
        done
      end

      # Under a lock, so that nobody writes between reading and writing.
      def some(table)
        @db.transaction do
          rows =
            older(table).select(*table.key, *table.digested, *table.ciphers.keys).limit(ROWS).for_update.skip_locked.all
          rows.each { |row| rewrite(table, row) }
          rows.size
        end
      end

      def rewrite(table, row)
        fields =
          table
            .ciphers
            .filter_map do |column, purpose|
              row[column] && [column, Secrets.lock(Secrets.open(row[column], purpose), purpose)]
            end
            .to_h
        @db[table.name].where(row.slice(*table.key)).update(**fields, **digests(table, row))
      end

      # Of what stands in a row, made anew. A kept answer's request is kept nowhere: its digest is read under every key
      # in use.
      def digests(table, row)
        case table.name
        when :clients
          { detail_digest: Tables::Clients.detail_digest(row[:gym_id], Sealed.open(:clients, row)[:detail]) }
        when :client_cautions
          { caution_digest: Tables::Cautions.digests(row[:client_id], Tables::Cautions.opened(row)[:caution]).first }
        else
          {}
        end
      end

      # Rows with a column that does not begin as the newest key's do.
      def older(table)
        prefix = Secrets.current_prefix
        @db[table.name].where(
          table
            .ciphers
            .keys
            .map do |column|
              Sequel.~(Sequel.like(column, "#{@db.dataset.escape_like(prefix)}%")) & Sequel.~(column => nil)
            end
            .inject(:|)
        )
      end
    end
  end
end
