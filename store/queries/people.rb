# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # What a fitting of several clients starts from, each kind in one statement however many they are: for questions
      # about many people at once.
      class People
        # rows: the clients', readings, checked, cautions, own_rules: of one client.
        Person = Struct.new(:row, :readings, :checked, :cautions, :own_rules)

        def initialize(gym)
          @gym = gym
        end

        # {client id => Person}, in the order of the ids; those of other gyms are left out.
        def call(ids)
          rows = Sealed.open_all(:clients, @gym.clients.dataset.where(id: ids).all).to_h { |row| [row[:id], row] }
          readings = ClientsWithReadings.new(@gym).readings(rows.values)
          checked = CheckedFittings.new(@gym).of_many(ids)
          cautions = @gym.cautions.of_many(ids)
          rules = @gym.rules.of_many(ids)
          ids
            .uniq
            .filter_map { |id| rows[id] }
            .to_h do |row|
              id = row[:id]
              [
                id,
                Person.new(
                  row,
                  readings.fetch(id, []),
                  checked.fetch(id, []),
                  cautions.fetch(id, []),
                  rules.fetch(id, {})
                )
              ]
            end
        end
      end
    end
  end
end
