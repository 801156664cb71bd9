# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Photographs of one gym's machines, at most one a machine and one an adjuster; scaled before they come here.
      class Photographs
        def initialize(gym)
          @gym = gym
        end

        # {id, adjuster} of each; adjuster "" is the machine itself.
        def of(machine_id) = dataset.where(machine_id: machine_id).order(:adjuster).select(:id, :adjuster).all
        def find(id) = dataset.first(id: id)

        # Takes the place of an earlier one.
        def put(machine_id:, adjuster:, jpeg:, width_px:, height_px:, taken_by:)
          fields = {
            id: Sequel.function(:gen_random_uuid),
            jpeg: Sequel.blob(jpeg),
            width_px: width_px,
            height_px: height_px,
            taken_by: taken_by,
            taken_at: Sequel::CURRENT_TIMESTAMP
          }
          @gym.db[:machine_photographs].insert_conflict(target: %i[machine_id adjuster], update: fields).insert(
            machine_id: machine_id,
            adjuster: adjuster,
            **fields
          )
        end

        def delete(machine_id:, adjuster:) = dataset.where(machine_id: machine_id, adjuster: adjuster).delete

        private

        def dataset = @gym.db[:machine_photographs].where(machine_id: @gym.machines.dataset.select(:id))
      end
    end
  end
end
