# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # What stands on a client's card? A row a machine and exercise on which a fitting was accepted or is open: the latest of each.
      class ClientCard
        def initialize(gym)
          @gym = gym
        end

        def call(client_id)
          key = %i[machine_id exercise]
          latest(client_id, "accepted").to_hash(key).merge(latest(client_id, "draft").to_hash(key)) do |_, accepted, draft|
            accepted.merge(draft: draft)
          end.values
        end

        # Every fitting that was closed, accepted or stopped, newest first.
        def history(client_id) = described(client_id, %w[accepted stopped taken_back]).order(Sequel.desc(:accepted_at)).all

        private

        def latest(client_id, state)
          described(client_id, state).distinct(Sequel[:fittings][:machine_id], :exercise)
                                     .order(Sequel[:fittings][:machine_id], :exercise, Sequel.desc(:accepted_at))
        end

        # Whether a length of the client was read after it was accepted.
        def remeasured
          @gym.db[:readings].where(Sequel[:readings][:client_id] => Sequel[:fittings][:client_id]).where { Sequel[:readings][:taken_at] > Sequel[:fittings][:accepted_at] }.select(1).exists
        end

        def described(client_id, state)
          @gym.fittings.dataset.where(:client_id => client_id, Sequel[:fittings][:state] => state)
              .join(:machines, id: Sequel[:fittings][:machine_id])
              .left_join(:accounts, id: Sequel.function(:coalesce, Sequel[:fittings][:accepted_by], Sequel[:fittings][:updated_by]))
              .select_all(:fittings)
              .select_append(Sequel[:machines][:name].as(:machine_name), Sequel[:machines][:place].as(:machine_place), Sequel[:machines][:family].as(:machine_family),
                             Sequel[:accounts][:name].as(:by_name), remeasured.as(:remeasured))
        end
      end
    end
  end
end
