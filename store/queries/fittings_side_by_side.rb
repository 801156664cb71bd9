# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # The closed fittings of a client on one machine, the latest first, with what each was computed from.
      class FittingsSideBySide
        MOST = 12

        def initialize(gym)
          @gym = gym
        end

        def call(client_id, machine_id, exercise)
          rows =
            @gym.fittings.dataset.where(
              :client_id => client_id,
              :machine_id => machine_id,
              :exercise => exercise,
              Sequel[:fittings][:state] => %w[accepted stopped taken_back]
            )
          rows =
            rows.left_join(:accounts, id: Sequel[:fittings][:accepted_by]).order(Sequel.desc(:accepted_at)).limit(MOST)
          Sealed.open_all(
            :fittings,
            rows.select_all(:fittings).select_append(Sequel[:accounts][:name].as(:by_name)).all
          )
        end
      end
    end
  end
end
