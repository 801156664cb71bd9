# frozen_string_literal: true

module Verglas
  module Application
    # Who of a gym's clients fits a machine, and whose advice a newly taped length changes. Long questions: they are
    # computed apart, of as many people as their time allows, and say of how many.
    class Population
      MOST = 120

      def initialize(gym, row, exercise: nil)
        @gym = gym
        @row = row
        @exercise = exercise
      end

      # One {stature_mm:, grade:} a client, no names: what is drawn over stature.
      def fits
        machine = Described.value(@row, exercise: @exercise)
        wishes = wishes(machine.family)
        all = AskedOfAll.of(@gym) { |client, readings| person(machine, wishes, client, readings) }
        { people: all.answers, of: all.of }
      end

      # The clients fitted here whose advised marks differ between an earlier description and the one that holds now.
      def changed_since(earlier)
        affected = Store::Queries::MachineFittings.new(@gym).clients(@row[:id], limit: MOST)
        pairs =
          [earlier, @row].map do |row|
            exercises.to_h { |exercise| [exercise, Described.value(row, exercise: exercise)] }
          end
        readings = Store::Queries::ClientsWithReadings.new(@gym).readings(affected[:rows])
        rules
        asked, clients =
          OwnProcess.compute do |budget|
            in_time =
              OwnProcess.in_time(affected[:rows], budget) do |client|
                changes(client, readings.fetch(client[:id], []), *pairs)
              end
            [in_time.size, in_time.flatten(1)]
          end
        { clients: clients, asked: asked, of: affected[:of] }
      end

      private

      def exercises = Described.exercises(@row)
      def advice(machine, estimate)
        Fitting::Advice.new(machine: machine, estimate: estimate, wishes: wishes(machine.family))
      end
      def changes(client, readings, before, now)
        exercises.filter_map { |exercise| change(client, readings, exercise, before[exercise], now[exercise]) }
      end

      def person(machine, wishes, client, readings)
        estimate = ClientBody.estimation(client, readings).met
        { stature_mm: estimate.mean[:stature].round(1), grade: grade(machine, wishes, estimate) }
      end

      # Of the best marks: the grade alone, without what a person needs to judge it.
      def grade(machine, wishes, estimate)
        return if machine.family.findings.empty?
        Machines::SEVERITIES[
          Fitting::Solver.new(machine: machine, body: estimate.dimensions, wishes: wishes).solutions.first.worst
        ]
      end

      # As the gym has its rules.
      def wishes(family) = Mechanisms::Wishes.for(family, **Guidance::HouseRules.wishes(family, rules))
      def rules = @rules ||= Guidance::HouseRules.chosen(gym: @gym.rules.of_gym)

      def change(client, readings, exercise, before, now)
        estimate = ClientBody.estimation(client, readings).met
        was, is = [before, now].map { |machine| advice(machine, estimate) }
        return if was.marks == is.marks && was.status == is.status

        {
          client: Told::Names.client(client),
          exercise: exercise.to_s,
          before: Told::Names.tags(was.marks),
          now: Told::Names.tags(is.marks),
          grade_before: was.evaluation.grade,
          grade_now: is.evaluation.grade
        }
      end
    end
  end
end
