# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # How long things take on a gym's machines: from "it stands so" to the end of the first set, and from the end of
      # one set to the end of the next? Among the last so many visits of the last so many days; what took longer than
      # anything does was an interruption.
      class TimesTaken
        DAYS = 180
        MOST = 20_000

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

        # A row a set: since the visit began, or since the set before it.
        def taken
          before = Sequel.function(:lag, Sequel[:sets][:done_at]).over(partition: :visit_id, order: :number)
          since = Sequel.function(:coalesce, before, Sequel[:visits][:begun_at])
          visits = @gym.visits.latest(MOST, days: DAYS)
          @gym.db[:sets]
            .join(visits.as(:visits), id: :visit_id)
            .where(Sequel[:sets][:taken_back_at] => nil)
            .select(
              Sequel[:visits][:machine_id],
              Sequel[:visits][:exercise],
              Sequel.case({ { before => nil } => "first" }, "between").as(:kind),
              Sequel.extract(:epoch, Sequel[:sets][:done_at] - since).as(:seconds)
            )
        end
      end
    end
  end
end
