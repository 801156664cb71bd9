# frozen_string_literal: true

module Verglas
  module Web
    # Whose advice another school of a question would change: the clients whose settings stand on a card, on the machines on
    # which the question is asked. A long question: computed apart, of as many cards as its time allows, from a number of
    # statements that does not grow with them.
    class RuleChanges
      MOST = 100

      def initialize(gym, question, school)
        @gym = gym
        @question = question
        @school = school
      end

      # {lines:, asked:, of:}; a line a client and machine.
      def call
        cards = Store::Queries::CardsOfGym.new(@gym).call(limit: MOST)
        people = Store::Queries::People.new(@gym).call(cards[:rows].map { |row| row[:client_id] })
        shared = Bench::Shared.of(@gym)
        machines
        lines = Apart.compute do |budget|
          Apart.in_time(cards[:rows], budget) do |row|
            line(Bench.among(@gym, people.fetch(row[:client_id]), machine_row: machines.fetch(row[:machine_id]), exercise: row[:exercise], shared: shared))
          end
        end
        { lines: lines.compact, asked: lines.size, of: cards[:of] }
      end

      private

      def line(bench)
        return unless @question.asked_of?(bench.machine.family) && !bench.own_rules.key?(@question.name)

        was = bench.advice
        is = bench.with_rules(bench.rules.merge(@question.name => @school)).advice
        return if was.marks == is.marks && was.status == is.status

        { client: Views::Client.summary(bench.client), machine: Views::Machine.exercise_name(bench.machine_row[:name], bench.exercise), before: Views::Machine.tags(was.marks),
          now: Views::Machine.tags(is.marks), grade_before: was.evaluation.grade, grade_now: is.evaluation.grade }
      end

      def machines = @machines ||= @gym.machines.all.to_h { |row| [row[:id], row] }
    end
  end
end
