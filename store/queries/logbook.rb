# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # What did a client lift on a machine, and at which marks? The latest visits with their sets and the accepted
      # fittings they began from, all of one exercise, oldest first.
      class Logbook
        LATEST = 40

        def initialize(gym)
          @gym = gym
        end

        # {fittings: rows, visits: rows, each with its sets as :sets}; most: of each.
        def call(client_id, machine_id, exercise, most: LATEST)
          of = { client_id: client_id, machine_id: machine_id, exercise: exercise }
          visits = @gym.visits.dataset.where(of).order(Sequel.desc(:begun_at)).limit(most).all.reverse
          sets = @gym.visits.sets_of(visits.map { |row| row[:id] })
          { fittings: fittings(of, most), visits: visits.map { |row| row.merge(sets: sets.fetch(row[:id], [])) } }
        end

        private

        def fittings(of, most)
          rows =
            @gym
              .fittings
              .dataset
              .where(state: "accepted", **of)
              .order(Sequel.desc(:accepted_at))
              .limit(most)
              .select(:id, :marks, :accepted_at, :grade, *Sealed.names(:fittings, %i[work signs]))
              .all
          Sealed.open_all(:fittings, rows).reverse
        end
      end
    end
  end
end
