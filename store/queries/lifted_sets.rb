# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # What did some clients lift with both legs, on all machines? The latest sets of each on each exercise, and of
      # accepted fittings in which somebody said how the last repetition went the latest, oldest first.
      class LiftedSets
        EACH = 5

        def initialize(gym)
          @gym = gym
        end

        # {client id => [{machine_id:, exercise:, family:, loading:, load_kg:, repetitions:, last:, reached:, at:}]};
        # last: "clean", "easy" or "not_reached"; repetitions: nil where nobody counted.
        def call(client_ids)
          rows = [*sets(client_ids), *fittings(client_ids)].select { |row| row[:last] && row[:load_kg].to_f.positive? }
          rows.sort_by { |row| row[:at] }.group_by { |row| row[:client_id] }
        end

        # Ids of clients who teach, those who were there last first, of the latest visits and accepted fittings.
        LATELY = 1000
        def on(machine_id, exercise, most:)
          place = { machine_id: machine_id, exercise: exercise }
          visits_on(place)
            .union(fittings_on(place), all: true, alias: :done)
            .exclude(client_id: @gym.clients.untaught)
            .group(:client_id)
            .select(:client_id)
            .order(Sequel.desc(Sequel.function(:max, :at)), :client_id)
            .limit(most)
            .select_map(:client_id)
        end

        private

        PLACE = %i[client_id machine_id exercise].freeze
        COUNTS = %i[load_kg repetitions last].freeze
        private_constant :PLACE, :COUNTS

        def visits_on(place)
          visits = @gym.visits.dataset.where(place).order(Sequel.desc(:last_at))
          visits.limit(LATELY).select(:client_id, Sequel[:last_at].as(:at))
        end

        def fittings_on(place)
          accepted = @gym.fittings.dataset.where(**place, state: "accepted").order(Sequel.desc(:accepted_at))
          accepted.limit(LATELY).select(:client_id, Sequel[:accepted_at].as(:at))
        end

        def sets(client_ids)
          at = Sequel[:sets][:done_at]
          rows =
            numbered(@gym.db[:sets].join(:visits, id: :visit_id), :visits, at)
              .where(Sequel[:visits][:client_id] => client_ids)
              .where(Sequel[:sets][:taken_back_at] => nil, Sequel[:sets][:leg] => "", Sequel[:sets][:kind] => "")
              .exclude(Sequel[:sets][:load_kg] => nil)
              .select_append(
                Sequel[:sets][:load_kg],
                Sequel[:sets][:repetitions],
                Sequel[:sets][:how_cipher],
                at.as(:at)
              )
          Sealed
            .open_all(:sets, of_machines(rows))
            .map { |row| { **row.except(:how), **row[:how].to_h.transform_keys(&:to_sym).slice(:last, :reached) } }
        end

        def fittings(client_ids)
          at = Sequel[:fittings][:accepted_at]
          rows =
            numbered(@gym.db[:fittings], :fittings, at).where(
              Sequel[:fittings][:client_id] => client_ids,
              :state => "accepted"
            ).select_append(:work_cipher, at.as(:at))
          Sealed
            .open_all(:fittings, of_machines(rows, most: 1))
            .map do |row|
              work = row[:work].to_h
              { **row.except(:work), reached: nil, **COUNTS.to_h { |name| [name, work[name.to_s]] } }
            end
        end

        def numbered(rows, table, time)
          place = PLACE.map { |name| Sequel[table][name] }
          rows.where(Sequel[table][:gym_id] => @gym.id).select(
            *place,
            Sequel.function(:row_number).over(partition: place, order: Sequel.desc(time)).as(:back)
          )
        end

        def of_machines(rows, most: EACH)
          rows
            .from_self(alias: :done)
            .join(:machines, id: Sequel[:done][:machine_id])
            .where { back <= most }
            .select_all(:done)
            .select_append(:family, :loading)
            .all
        end
      end
    end
  end
end
