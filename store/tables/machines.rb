# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # The machines of one gym with a version of their description; rows become core values here.
      class Machines
        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:machines].where(gym_id: @gym.id)
        def all = described.order(:place, :name).all
        def find(id) = described.first(Sequel[:machines][:id] => id)

        # rows: as find and all give them.
        def self.value(row)
          Verglas::Machines::Reader.read("id" => row[:id], "family" => row[:family], "name" => row[:name],
                                         "constants" => row[:constants].to_h, "adjusters" => row[:adjusters].to_a)
        end

        def insert(family:, name:, place:, constants:, adjusters:, taped_by: nil)
          @gym.db.transaction do
            id = dataset.returning(:id).insert(gym_id: @gym.id, family: family, name: name, place: place).first[:id]
            @gym.db[:machine_descriptions].insert(machine_id: id, number: 1, constants: Sequel.pg_json(constants),
                                                  adjusters: Sequel.pg_json(adjusters), taped_by: taped_by)
            id
          end
        end

        private

        def described
          dataset.join(:machine_descriptions, machine_id: Sequel[:machines][:id], number: Sequel[:machines][:description_number])
                 .select_all(:machines).select_append(:number, :constants, :adjusters, :taped_at)
        end
      end
    end
  end
end
