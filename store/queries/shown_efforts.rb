# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # How did a client's fittings go on machines of some families, what each asked kept with it, and what was done
      # from each since: rows of fittings, latest first, each with its :visits, {begun_at:, clean:, sends_back:}.
      class ShownEfforts
        MOST = 20

        def initialize(gym)
          @gym = gym
        end

        def call(client_id, families:)
          fittings = Sequel[:fittings]
          rows =
            @gym.db[:fittings]
              .join(:machines, id: fittings[:machine_id])
              .where(fittings[:gym_id] => @gym.id, fittings[:client_id] => client_id, fittings[:state] => "accepted")
              .where(Sequel[:machines][:family] => families.map(&:to_s))
              .order(Sequel.desc(fittings[:accepted_at]))
              .limit(MOST)
              .select(
                fittings[:id],
                :family,
                fittings[:exercise],
                fittings[:accepted_at],
                fittings[:work_cipher],
                fittings[:signs_cipher],
                fittings[:result_cipher]
              )
          shown = Sealed.open_all(:fittings, rows.all)
          visits = visits(shown.map { |row| row[:id] })
          shown.each { |row| row[:visits] = visits.fetch(row[:id], []) }
        end

        private

        # {fitting id => visits with a set that stands}
        def visits(ids)
          sets = Sequel[:sets]
          @gym.db[:sets]
            .join(:visits, id: sets[:visit_id])
            .where(Sequel[:visits][:fitting_id] => ids, sets[:taken_back_at] => nil, sets[:kind] => "")
            .select_group(Sequel[:visits][:id], Sequel[:visits][:fitting_id], Sequel[:visits][:begun_at])
            .select_append(
              Sequel.function(:bool_and, sets[:clean]).as(:clean),
              Sequel.function(:bool_or, sets[:sends_back]).as(:sends_back)
            )
            .all
            .group_by { |row| row[:fitting_id] }
        end
      end
    end
  end
end
