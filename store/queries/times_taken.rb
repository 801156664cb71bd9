# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # How long things take on a gym's machines: from "it stands so" to the end of the first set, and from the end of
      # one set to the end of the next? Among the last so many visits of the last so many days; what took longer than
      # anything does was an interruption.
      class TimesTaken
        DAYS = 180
        MOST = 5000

        def initialize(gym)
          @gym = gym
        end

        # Seconds: {[machine id, exercise] => {first: {count:, mean:, sd:}, between: the same}}; nothing where none was
        # measured.
        def call(longest_s:)
          rows = summed(longest_s).all
          rows
            .group_by { |row| row.values_at(:machine_id, :exercise) }
            .transform_values do |of_machine|
              of_machine.to_h { |row| [row[:kind].to_sym, row.slice(:count, :mean, :sd)] }
            end
        end

        private

        def summed(longest_s)
          seconds = Sequel[:took][:seconds]
          taken
            .from_self(alias: :took)
            .where(seconds => 5..longest_s)
            .group(:machine_id, :exercise, :kind)
            .select(
              :machine_id,
              :exercise,
              :kind,
              Sequel.function(:count).*.as(:count),
              Sequel.cast(Sequel.function(:avg, seconds), Float).as(:mean),
              Sequel.cast(Sequel.function(:stddev_pop, seconds), Float).as(:sd)
            )
        end

        # A row a set: since the visit began, or since the set before it. Visit by visit (lateral), so that the sets of
        # other visits are not walked.
        def taken
          visit = Sequel[:visits]
          since = Sequel.function(:coalesce, Sequel[:done][:before], visit[:begun_at])
          @gym
            .db
            .from(@gym.visits.latest(MOST, days: DAYS).as(:visits))
            .cross_join(sets_of(visit).lateral.as(:done))
            .select(
              visit[:machine_id],
              visit[:exercise],
              Sequel.case({ { Sequel[:done][:before] => nil } => "first" }, "between").as(:kind),
              Sequel.extract(:epoch, Sequel[:done][:done_at] - since).as(:seconds)
            )
        end

        def sets_of(visit)
          @gym.db[:sets].where(visit_id: visit[:id], taken_back_at: nil).select(
            :done_at,
            Sequel.function(:lag, :done_at).over(order: :number).as(:before)
          )
        end
      end
    end
  end
end
