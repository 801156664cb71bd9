# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # One gym's own seconds by family of machines.
      class Tempos
        COLUMNS = %i[up_s hold_s down_s pause_s slow_s slow_deg].freeze
        SECONDS = (COLUMNS - %i[slow_deg]).freeze

        def initialize(gym)
          @gym = gym
        end

        # The whole table as one column of a question that is asked anyway (jsonb, nil for none); gym_id: as SQL.
        def self.column(db, gym_id)
          db[:gym_tempos].where(gym_id: gym_id).select(
            Sequel.function(:jsonb_object_agg, :family, Sequel.function(:to_jsonb, Sequel[:gym_tempos]))
          )
        end

        # {family => row}, seconds as floats. Read once a request; at the bench it comes along
        # (Queries::FittingOnBench).
        def all = @all || read(@gym.db.get(self.class.column(@gym.db, @gym.id)))

        # What is in such a column.
        def read(column)
          @all =
            column.to_h.to_h do |family, row|
              [
                family.to_sym,
                COLUMNS.to_h { |name| [name, SECONDS.include?(name) ? row[name.to_s]&.to_f : row[name.to_s]] }
              ]
            end
        end

        # rows: {family:, up_s: ...} each, the whole table. Over the version which the writer saw.
        def replace(rows, version:)
          @gym.revise(:tempos, version: version) do
            dataset.delete
            ConstraintErrors.translate do
              rows.each { |row| dataset.insert(gym_id: @gym.id, family: row[:family].to_s, **row.slice(*COLUMNS)) }
            end
          end
          @all = nil
        end

        private

        def dataset = @gym.db[:gym_tempos].where(gym_id: @gym.id)
      end
    end
  end
end
