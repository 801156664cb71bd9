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

        # {family => row}, seconds as floats. Read once a request.
        def all
          @all ||= dataset.order(:family).select(:family, *COLUMNS).to_hash(:family).to_h do |family, row|
            [family.to_sym, row.except(:family).to_h { |name, value| [name, SECONDS.include?(name) ? value&.to_f : value] }]
          end
        end

        # rows: {family:, up_s: ...} each, the whole table. Over the version which the writer saw.
        def replace(rows, version:)
          @gym.revise(:tempos, version: version) do
            dataset.delete
            ConstraintErrors.translate { rows.each { |row| dataset.insert(gym_id: @gym.id, family: row[:family].to_s, **row.slice(*COLUMNS)) } }
          end
          @all = nil
        end

        private

        def dataset = @gym.db[:gym_tempos].where(gym_id: @gym.id)
      end
    end
  end
end
