# frozen_string_literal: true

module Verglas
  module Web
    # Whose advice another school of a question would change: the clients whose settings stand on a card, on the machines on
    # which the question is asked. A long question, asked of so many fittings as are answered within a second or two.
    class RuleChanges
      MOST = 200

      def initialize(gym, question, school)
        @gym = gym
        @question = question
        @school = school
      end

      # {lines:, asked:, of:}; a line a client and machine.
      def call
        rows = Store::Queries::CardsOfGym.new(@gym).call(limit: MOST)
        { lines: rows[:rows].filter_map { |row| line(row) }, asked: rows[:rows].size, of: rows[:of] }
      end

      private

      def line(row)
        client = @gym.clients.find(row[:client_id])
        bench = Bench.new(@gym, client: client, machine_row: machine_row(row[:machine_id]), exercise: row[:exercise])
        return unless @question.asked_of?(bench.machine.family) && !bench.own_rules.key?(@question.name)

        was = bench.advice
        is = bench.with_rules(bench.rules.merge(@question.name => @school)).advice
        return if was.marks == is.marks && was.status == is.status

        { client: Views::Client.summary(client), machine: Views::Machine.exercise_name(bench.machine_row[:name], row[:exercise]), before: Views::Machine.tags(was.marks),
          now: Views::Machine.tags(is.marks), grade_before: was.evaluation.grade, grade_now: is.evaluation.grade }
      end

      def machine_row(id) = (@machines ||= @gym.machines.all.to_h { |row| [row[:id], row] }).fetch(id)
    end
  end
end
