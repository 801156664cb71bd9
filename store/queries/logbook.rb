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

        # {[machine id, exercise] => the same}, of all that a client does.
        def of_client(client_id, most: LATEST)
          visits = latest(@gym.visits.dataset.where(client_id: client_id), :begun_at, most).all
          sets = @gym.visits.sets_of(visits.map { |row| row[:id] })
          rows = latest(accepted.where(client_id: client_id), :accepted_at, most).select(*PLACE, *COLUMNS).all
          fittings = Sealed.open_all(:fittings, rows).group_by { |row| row.values_at(*PLACE) }
          visits = visits.group_by { |row| row.values_at(*PLACE) }
          (fittings.keys | visits.keys).to_h do |place|
            of_place = visits.fetch(place, []).map { |row| row.merge(sets: sets.fetch(row[:id], [])) }
            [place, { fittings: fittings.fetch(place, []).map { |row| row.except(*PLACE) }, visits: of_place }]
          end
        end

        private

        PLACE = %i[machine_id exercise].freeze
        COLUMNS = [:id, :marks, :accepted_at, :grade, *Sealed.names(:fittings, %i[work signs])].freeze
        private_constant :PLACE, :COLUMNS

        def accepted = @gym.fittings.dataset.where(state: "accepted")

        # The last so many of each place, oldest first.
        def latest(rows, time, most)
          rows
            .select_append(Sequel.function(:row_number).over(partition: PLACE, order: Sequel.desc(time)).as(:back))
            .from_self
            .where { back <= most }
            .order(time)
        end

        def fittings(of, most)
          rows = accepted.where(of).order(Sequel.desc(:accepted_at)).limit(most).select(*COLUMNS).all
          Sealed.open_all(:fittings, rows).reverse
        end
      end
    end
  end
end
