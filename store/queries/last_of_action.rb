# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # When did a client last do an exercise of some families, on whichever machine: a set, or a fitting in which a
      # load was written down?
      class LastOfAction
        def initialize(gym)
          @gym = gym
        end

        # of: [[family, exercise], ...], exercise "" on a machine with one. A Time, nil where never; but_visit: the
        # visit that is going on is left out.
        def call(client_id, of:, but_visit: nil)
          visits = @gym.visits.dataset.where(client_id: client_id)
          visits = visits.exclude(id: but_visit) if but_visit
          fittings = @gym.fittings.dataset.where(client_id: client_id, state: "accepted")
          [latest(visits, :begun_at, of), latest(fittings, :accepted_at, of)].compact.max
        end

        # The same of all that a client did: [[family, exercise, visit's id or nil, Time]].
        def of_client(client_id)
          visits = @gym.visits.dataset.where(client_id: client_id)
          fittings = @gym.fittings.dataset.where(client_id: client_id, state: "accepted")
          [*times(visits, Sequel[:done][:id], :begun_at), *times(fittings, Sequel.cast(nil, :uuid), :accepted_at)]
        end

        private

        def times(rows, id, time)
          rows
            .select(:id, :machine_id, :exercise, time)
            .from_self(alias: :done)
            .join(:machines, id: Sequel[:done][:machine_id])
            .select(Sequel[:machines][:family], Sequel[:done][:exercise], id.as(:visit_id), Sequel[:done][time].as(:at))
            .map { |row| row.values_at(:family, :exercise, :visit_id, :at) }
        end

        def latest(rows, time, of)
          rows
            .select(:machine_id, :exercise, time)
            .from_self(alias: :done)
            .join(:machines, id: Sequel[:done][:machine_id])
            .where([Sequel[:machines][:family], Sequel[:done][:exercise]] => of)
            .max(Sequel[:done][time])
        end
      end
    end
  end
end
