# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Visits of one gym, each with its sets: a machine was set up from an accepted fitting and something was lifted. A
      # set that was written by mistake is taken back and stays. Rows of sets come with how they went opened.
      class Visits
        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:visits].where(gym_id: @gym.id)
        def find(id) = dataset.first(id: id)

        # The visit that goes on: the latest from this fitting whose last set was done since; nil where none does.
        def going_on(fitting_id, since:)
          dataset.where(fitting_id: fitting_id).where { last_at >= since }.order(Sequel.desc(:last_at)).first
        end

        # fitting: an accepted one's row. The one that goes on, or a new one.
        def begin(fitting, planned_kg:, since:, by:)
          going_on(fitting[:id], since: since) ||
            dataset
              .returning
              .insert(
                gym_id: @gym.id,
                fitting_id: fitting[:id],
                **fitting.slice(:client_id, :machine_id, :exercise),
                planned_kg: planned_kg,
                begun_by: by
              )
              .first
        end

        # set: {load_kg, repetitions, leg, how, clean, sends_back, watched_by}; stops: whether it ends the exercise for
        # today.
        def add(id, stops:, by:, **set)
          number = @gym.db[:sets].where(visit_id: id).max(:number).to_i + 1
          ConstraintErrors.translate do
            @gym.db[:sets].insert(
              gym_id: @gym.id,
              visit_id: id,
              number: number,
              done_by: by,
              **Sealed.columns(:sets, set)
            )
          end
          dataset.where(id: id).update(last_at: Sequel::CURRENT_TIMESTAMP, stopped: Sequel.|(:stopped, stops))
        end

        # The last so many, of the last so many days, as a dataset.
        def latest(most, days:)
          dataset
            .where { last_at >= Sequel.lit("now() - make_interval(days => ?)", days) }
            .reverse(:last_at)
            .limit(most)
        end

        # Visits of some clients in which something was done since, as they came; upto: begun no later than that, nil
        # for now.
        def since(client_ids, time, upto: nil)
          rows = dataset.where(client_id: client_ids).where { last_at >= time }.order(:begun_at)
          (upto ? rows.where { begun_at <= upto } : rows).all
        end

        # Visits of these clients and those under these ids, each with the numbers of its sets.
        def known(client_ids, ids)
          return [] if client_ids.empty? && ids.empty?

          numbers = @gym.db[:sets].where(visit_id: Sequel[:visits][:id]).select { array_agg(:number) }
          dataset
            .where(Sequel.|({ client_id: client_ids }, { id: ids }))
            .select_all(:visits)
            .select_append(Sequel.cast(numbers, :text).as(:numbers))
            .all
            .each { |row| row[:numbers] = row[:numbers].to_s.scan(/\d+/).map(&:to_i) }
        end

        ADDED = %i[id client_id machine_id exercise fitting_id planned_kg begun_at last_at].freeze
        ADDED_SETS = %i[
          id
          visit_id
          number
          load_kg
          repetitions
          leg
          kind
          helped
          clean
          sends_back
          watched_by
          done_by
          done_at
        ].freeze

        # A set's columns but for what a phone read of it, which is long.
        SET = [*ADDED_SETS, :gym_id, :how_cipher, :taken_back_by, :taken_back_at].freeze

        # Many at once: {**ADDED, by:}.
        def add_all(rows)
          ConstraintErrors.translate do
            Copy.rows(
              @gym.db,
              :visits,
              [:gym_id, :begun_by, *ADDED],
              rows.map { |row| [@gym.id, row[:by], *row.values_at(*ADDED)] }
            )
          end
        end

        # {**ADDED_SETS, how:}
        def add_sets(rows)
          names = [:gym_id, :how_cipher, *ADDED_SETS]
          ConstraintErrors.translate do
            Copy.rows(
              @gym.db,
              :sets,
              names,
              rows.map { |row| [@gym.id, *Sealed.columns(:sets, row.slice(:how)).values, *row.values_at(*ADDED_SETS)] }
            )
          end
        end

        # [set, visit] of a set that stands; nil where the gym has none.
        def set(id)
          row = sets.first(id: id, taken_back_at: nil)
          row && [Sealed.open(:sets, row), find(row[:visit_id])]
        end

        # stopped: whether what is left of its visit still ends the exercise for today.
        def take_back(set, stopped:, by:)
          sets.where(id: set[:id], taken_back_at: nil).update(
            taken_back_by: by,
            taken_back_at: Sequel::CURRENT_TIMESTAMP
          )
          dataset.where(id: set[:visit_id]).update(stopped: stopped)
        end

        # {visit id => sets} that stand, in the order in which they were done, with the name of who watched; movements:
        # with what a phone read of them.
        def sets_of(visit_ids, movements: false)
          columns = movements ? [*SET, :movement_cipher] : SET
          rows =
            sets
              .where(visit_id: visit_ids, taken_back_at: nil)
              .left_join(:accounts, id: :watched_by)
              .select(*columns.map { |name| Sequel[:sets][name] }, Sequel[:accounts][:name].as(:watched_by_name))
              .select_append(Sequel.~(Sequel[:sets][:movement_cipher] => nil).as(:read))
              .order(:visit_id, :number)
              .all
          Sealed.open_all(:sets, rows).group_by { |row| row[:visit_id] }
        end

        # {set id => what a phone read of it} of those that one read.
        def movements_of(set_ids)
          rows =
            sets.where(id: set_ids, taken_back_at: nil).exclude(movement_cipher: nil).select(:id, :movement_cipher).all
          Sealed.open_all(:sets, rows).to_h { |row| row.values_at(:id, :movement) }
        end

        private

        def sets = @gym.db[:sets].where(Sequel[:sets][:gym_id] => @gym.id)
      end
    end
  end
end
