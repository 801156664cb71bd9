# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # How often does each mark of a machine stand on somebody's card? Counts the latest accepted fitting of each client.
      class MarkUse
        def initialize(gym)
          @gym = gym
        end

        # Rows {exercise:, label:, mark:, count:}.
        def call(machine_id)
          latest = @gym.fittings.dataset.where(machine_id: machine_id, state: "accepted")
                       .distinct(:client_id, :exercise).order(:client_id, :exercise, Sequel.desc(:accepted_at)).select(:exercise, :marks)
          @gym.db[:latest].with(:latest, latest).cross_join(Sequel.function(:json_each_text, :marks).lateral.as(:chosen, %i[label mark]))
              .group_and_count(:exercise, :label, :mark).order(:exercise, :label, Sequel.desc(:count)).all
        end
      end
    end
  end
end
