# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # What was lifted last with both legs: by one client or several on each machine and exercise, or on one of them by
      # several?
      class LatestLoads
        # Of the latest visits of each: one without a set that stands is passed over.
        BACK = 3

        def initialize(gym)
          @gym = gym
        end

        # {[machine id, exercise] => {load_kg:, repetitions:, done_at:, family:, name:}}
        def call(client_id)
          latest({ client_id: client_id }, %i[machine_id exercise]).to_h do |row|
            [row.values_at(:machine_id, :exercise), row]
          end
        end

        # {[client id, machine id, exercise] => the same}
        def among(client_ids)
          each = %i[client_id machine_id exercise]
          latest({ client_id: client_ids }, each).to_h { |row| [row.values_at(*each), row] }
        end

        # {client id => the same}
        def on(machine_id, exercise, client_ids)
          latest({ machine_id: machine_id, exercise: exercise, client_id: client_ids }, [:client_id]).to_h do |row|
            [row[:client_id], row]
          end
        end

        private

        def latest(of, each)
          place = each.map { |name| Sequel[:visit][name] }
          @gym.db[:sets]
            .join(visits(of, each).as(:visit), id: :visit_id)
            .join(:machines, id: Sequel[:visit][:machine_id])
            .where(Sequel[:sets][:taken_back_at] => nil, Sequel[:sets][:leg] => "", Sequel[:sets][:kind] => "")
            .exclude(Sequel[:sets][:load_kg] => nil)
            .distinct(*place)
            .order(*place, Sequel.desc(Sequel[:sets][:done_at]))
            .select(
              *place,
              Sequel.cast(Sequel[:sets][:load_kg], Float).as(:load_kg),
              Sequel[:sets][:repetitions],
              Sequel[:sets][:done_at],
              :family,
              :name
            )
            .all
        end

        def visits(of, each)
          numbered =
            @gym
              .visits
              .dataset
              .where(of)
              .select(
                :id,
                :client_id,
                :machine_id,
                :exercise,
                Sequel.function(:row_number).over(partition: each, order: Sequel.desc(:begun_at)).as(:back)
              )
          @gym.db[:numbered].with(:numbered, numbered).where { back <= BACK }
        end
      end
    end
  end
end
