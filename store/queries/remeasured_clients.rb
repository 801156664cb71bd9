# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Whose lengths were read anew after they were fitted, so that what stands on their card should be looked at again? Of the
      # gym's latest readings; whoever was read last first.
      class RemeasuredClients
        # How many of the latest readings are looked at, and how many clients are told.
        LATEST = 300
        LIMIT = 5

        def initialize(gym)
          @gym = gym
        end

        def call
          rows = @gym.db[:latest].with(:latest, latest).join(:clients, id: :client_id)
                     .where(fitted_before.exists).group(Sequel[:clients][:id], Sequel[:clients][:name], Sequel[:clients][:detail_cipher])
                     .select(Sequel[:clients][:id], Sequel[:clients][:name], Sequel[:clients][:detail_cipher]) { max(Sequel[:latest][:taken_at]).as(taken_at) }
                     .order(Sequel.desc(:taken_at)).limit(LIMIT).all
          Sealed.open_all(:clients, rows)
        end

        private

        def latest
          @gym.db[:readings].where(gym_id: @gym.id).order(Sequel.desc(:taken_at)).limit(LATEST).select(:client_id, :taken_at)
        end

        # A fitting that was accepted before, and none since.
        def fitted_before
          accepted = @gym.fittings.dataset.where(Sequel[:fittings][:client_id] => Sequel[:latest][:client_id], Sequel[:fittings][:state] => "accepted")
          accepted.having { max(accepted_at) < Sequel[:latest][:taken_at] }.select { max(accepted_at) }
        end
      end
    end
  end
end
