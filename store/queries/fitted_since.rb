# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Where were some clients fitted since, and how did it end: accepted, or by a stop sign?
      class FittedSince
        def initialize(gym)
          @gym = gym
        end

        # Rows {client_id:, machine_id:, exercise:, family:, state:, stop_sign:}, the sign opened.
        def call(client_ids, time)
          rows =
            @gym
              .fittings
              .dataset
              .where(:client_id => client_ids, Sequel[:fittings][:state] => %w[accepted stopped])
              .where { Sequel[:fittings][:accepted_at] >= time }
              .join(:machines, id: Sequel[:fittings][:machine_id])
              .select(
                Sequel[:fittings][:client_id],
                Sequel[:fittings][:machine_id],
                Sequel[:fittings][:exercise],
                Sequel[:fittings][:state],
                Sequel[:machines][:family],
                *Sealed.names(:fittings, %i[stop_sign]).map { |name| Sequel[:fittings][name] }
              )
          Sealed.open_all(:fittings, rows.all)
        end
      end
    end
  end
end
