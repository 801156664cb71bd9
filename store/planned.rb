# frozen_string_literal: true

module Verglas
  module Store
    # Statements that are asked over and over: planned once a connection. Behind a pooler that hands connections from
    # one transaction to the next nothing planned can be relied on: there the whole statement is sent each time.
    module Planned
      Whole = Struct.new(:dataset, :type) { def call(values) = dataset.call(type, values) }

      # What answers #call with the values by name. type: :select or :first; the block makes the dataset.
      def self.of(db, name, type)
        return Whole.new(yield, type) if db.opts[:pooled]

        db.prepared_statement(name) || yield.prepare(type, name)
      end
    end
  end
end
