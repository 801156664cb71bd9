# frozen_string_literal: true

module Verglas
  module Application
    # Whose advice another school of a question would change: the clients whose settings stand on a card, on the
    # machines on which the question is asked. A long question: computed apart, of as many cards as its time allows,
    # from a number of statements that does not grow with them.
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
        shared = Meeting::Shared.of(@gym)
        machines
        lines =
          OwnProcess.compute do |budget|
            OwnProcess.in_time(cards[:rows], budget) do |row|
              line(
                Meeting.among(
                  @gym,
                  people.fetch(row[:client_id]),
                  machine_row: machines.fetch(row[:machine_id]),
                  exercise: row[:exercise],
                  shared: shared
                )
              )
            end
          end
        { lines: lines.compact, asked: lines.size, of: cards[:of] }
      end

      private

      def line(meeting)
        return unless @question.asked_of?(meeting.machine.family) && !meeting.own_rules.key?(@question.name)

        was = meeting.advice
        is = meeting.with_rules(changed(meeting)).advice
        return if was.marks == is.marks && was.status == is.status

        {
          client: Told::Names.client(meeting.client),
          machine: Told::Names.machine(meeting.machine_row[:name], meeting.exercise),
          before: Told::Names.tags(was.marks),
          now: Told::Names.tags(is.marks),
          grade_before: was.evaluation.grade,
          grade_now: is.evaluation.grade
        }
      end

      # What an emphasis goes by stays.
      def changed(meeting)
        school = @question.kept(@school, meeting.known)
        { **meeting.rules, @question.name => school, **meeting.emphasis_schools }
      end

      def machines = @machines ||= @gym.machines.all.to_h { |row| [row[:id], row] }
    end
  end
end
