# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # How did a client's fittings go on machines of some families, what each asked kept with it: {family:, exercise:, top_nm:, last:, signs:},
      # latest first.
      class ShownEfforts
        MOST = 20

        def initialize(gym)
          @gym = gym
        end

        def call(client_id, families:)
          fittings = Sequel[:fittings]
          rows = @gym.db[:fittings].join(:machines, id: fittings[:machine_id]).where(fittings[:gym_id] => @gym.id, fittings[:client_id] => client_id, fittings[:state] => "accepted")
                     .where(Sequel[:machines][:family] => families.map(&:to_s)).order(Sequel.desc(fittings[:accepted_at])).limit(MOST)
                     .select(fittings[:id], :family, fittings[:exercise], fittings[:work_cipher], fittings[:signs_cipher], fittings[:result_cipher])
          Sealed.open_all(:fittings, rows.all)
        end
      end
    end
  end
end
