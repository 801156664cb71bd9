# frozen_string_literal: true

module Verglas
  module Formats
    # What bin/compute asks about sessions: an exercise, a pair, a circuit as plain data, and the answers.
    module Plans
      module_function

      def session(request)
        session = Planning::Session.new(exercises(request), seconds: exact(request["seconds"]))
        plan = session.plan
        return { missing_s: number(session.missing_s) } unless plan

        {
          order: plan.order,
          sets: plan.sets,
          seconds: number(plan.seconds),
          worth: plan.worth.to_f,
          left_out: plan.left_out
        }
      end

      def pair(request)
        pair = Planning::Pair.new(*exercises(request))
        sets = request["sets"]
        { seconds: number(pair.in_turn_s(sets)), one_after_another: number(pair.one_after_another_s(sets)) }
      end

      def circuit(request)
        circuit = Planning::Circuit.new(request["people"], changeovers(request["costs"]), closed: request["closed"])
        { order: circuit.order, seconds: number(circuit.seconds) }
      end

      def exercises(request) = request["exercises"].map { |row| exercise(row) }

      def exercise(row)
        seconds = %w[set_s rest_s light_s change_s in_s out_s].to_h { |name| [name.to_sym, exact(row[name])] }
        Planning::Exercise.new(
          id: row["id"],
          works: row["works"],
          rank: row["rank"],
          place: row["place"],
          worth: exact(row["value"]),
          kept: row["keep"],
          most: row["most"],
          **seconds
        )
      end

      def changeovers(costs)
        costs.transform_values do |cost|
          Planning::Changeover.new(
            pin_s: exact(cost["pin"]),
            adjusters: cost["adjusters"].transform_values { |seconds| seconds.map { |one| exact(one) } }
          )
        end
      end

      # As it was written, so that what adds up to the same is the same.
      def exact(number) = number.is_a?(Integer) ? number : Rational(number.to_s)
      def number(exact) = exact.denominator == 1 ? exact.to_i : exact.to_f
    end
  end
end
