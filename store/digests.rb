# frozen_string_literal: true

module Verglas
  module Store
    # What a database holds, a number and a sum a table, by which a copy is told from the original. The sum does not
    # depend on the order of the rows, and is made where they lie.
    module Digests
      # What a backup writes of itself is none of what it holds.
      LEFT = %w[backups].freeze
      SUM = "coalesce(sum(('x' || substr(md5(t::text), 1, 16))::bit(64)::bigint), 0)"

      # {"schema.table" => [rows, sum]}, all as one moment has it.
      def self.of(db)
        db.transaction do
          # How a time is written stands in the sum.
          db.run("SET LOCAL TIME ZONE 'UTC'; SET LOCAL statement_timeout = 0")
          tables(db).to_h do |schema, name|
            ["#{schema}.#{name}", sum(db.from(Sequel[schema.to_sym][name.to_sym].as(:t)))]
          end
        end
      end

      def self.tables(db)
        db
          .from(Sequel[:pg_tables])
          .where(schemaname: %w[public kept])
          .exclude(tablename: LEFT)
          .order(:schemaname, :tablename)
          .select_map(%i[schemaname tablename])
      end

      def self.sum(rows)
        count, sum = rows.get([Sequel.lit("count(*)").as(:rows), Sequel.lit(SUM).as(:sum)])
        [count, sum.to_i.to_s]
      end
      private_class_method :tables, :sum

      # Names of the tables in which two differ.
      def self.differing(one, other) = (one.keys | other.keys).reject { |name| one[name] == other[name] }
    end
  end
end
