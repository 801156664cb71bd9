# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # What did a client lift last on each machine and exercise, with both legs? {[machine id, exercise] => {load_kg:, repetitions:, done_at:, family:, name:}}
      class LatestLoads
        def initialize(gym)
          @gym = gym
        end

        def call(client_id)
          sets = @gym.db[:sets].join(visits(client_id).as(:visit), id: :visit_id).join(:machines, id: Sequel[:visit][:machine_id])
                     .where(Sequel[:sets][:taken_back_at] => nil, Sequel[:sets][:leg] => "").exclude(Sequel[:sets][:load_kg] => nil)
          place = [Sequel[:visit][:machine_id], Sequel[:visit][:exercise]]
          rows = sets.distinct(*place).order(*place, Sequel.desc(Sequel[:sets][:done_at]))
                     .select(*place, Sequel.cast(Sequel[:sets][:load_kg], Float).as(:load_kg), Sequel[:sets][:repetitions], Sequel[:sets][:done_at], :family, :name)
          rows.all.to_h { |row| [row.values_at(:machine_id, :exercise), row] }
        end

        private

        # The latest few of each machine: one without a set that stands is passed over.
        def visits(client_id)
          numbered = @gym.visits.dataset.where(client_id: client_id)
                         .select(:id, :machine_id, :exercise, Sequel.function(:row_number).over(partition: %i[machine_id exercise], order: Sequel.desc(:begun_at)).as(:back))
          @gym.db[:numbered].with(:numbered, numbered).where { back <= 3 }
        end
      end
    end
  end
end
