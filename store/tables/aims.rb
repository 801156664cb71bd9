# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # One gym's table by aim, in its order; none where it was never written.
      class Aims
        COLUMNS = %i[name sets repetitions seconds rest_s up_s hold_s down_s pause_s].freeze

        def initialize(gym)
          @gym = gym
        end

        # Read once a request.
        def all = @all ||= dataset.order(:position).select(*COLUMNS).all

        # rows: the whole table. Over the version which the writer saw.
        def replace(rows, version:)
          @gym.revise(:aims, version: version) do
            dataset.delete
            ConstraintErrors.translate do
              rows.each_with_index do |row, position|
                dataset.insert(gym_id: @gym.id, position: position, **row.slice(*COLUMNS))
              end
            end
          end
          @all = nil
        end

        private

        def dataset = @gym.db[:gym_aims].where(gym_id: @gym.id)
      end
    end
  end
end
