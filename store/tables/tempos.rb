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

        # {family => row}, seconds as floats. Read once a request: asked at every step of an adjuster.
        def all = @all ||= prepared.call(gym_id: @gym.id).to_h { |row| [row.delete(:family).to_sym, row.to_h { |name, value| [name, SECONDS.include?(name) ? value&.to_f : value] }] }

        # rows: {family:, up_s: ...} each, the whole table. Over the version which the writer saw.
        def replace(rows, version:)
          @gym.revise(:tempos, version: version) do
            dataset.delete
            ConstraintErrors.translate { rows.each { |row| dataset.insert(gym_id: @gym.id, family: row[:family].to_s, **row.slice(*COLUMNS)) } }
          end
          @all = nil
        end

        private

        def prepared
          @gym.db.prepared_statement(:tempos_of) ||
            @gym.db[:gym_tempos].where(gym_id: Sequel.cast(:$gym_id, :uuid)).order(:family).select(:family, *COLUMNS).prepare(:select, :tempos_of)
        end

        def dataset = @gym.db[:gym_tempos].where(gym_id: @gym.id)
      end
    end
  end
end
