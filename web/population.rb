# frozen_string_literal: true

module Verglas
  module Web
    # Who of a gym's clients fits a machine, and whose advice a newly taped length changes. Long questions, so they are asked
    # of a number of people that is answered within a second or two, and say of how many.
    class Population
      MOST = 120

      def initialize(gym, row, exercise: nil)
        @gym = gym
        @row = row
        @exercise = exercise
      end

      # One {stature_mm:, grade:} a client, no names: what is drawn over stature.
      def fits
        sample = Store::Queries::ClientsWithReadings.new(@gym).call(limit: MOST)
        machine = Store::Tables::Machines.value(@row, exercise: @exercise)
        people = sample[:rows].map do |client, readings|
          estimate = Inputs::ClientBody.estimation(client, readings).estimate
          { stature_mm: estimate.mean[:stature].round(1), grade: grade(machine, estimate) }
        end
        { people: people, of: sample[:of] }
      end

      # The clients fitted here whose advised marks differ between an earlier description and the one that holds now.
      def changed_since(earlier)
        affected = Store::Queries::MachineFittings.new(@gym).clients(@row[:id], limit: MOST)
        before, now = [earlier, @row].map { |row| exercises.to_h { |exercise| [exercise, Store::Tables::Machines.value(row, exercise: exercise)] } }
        readings = Store::Queries::ClientsWithReadings.new(@gym).readings(affected[:rows])
        clients = affected[:rows].flat_map do |client|
          exercises.filter_map { |exercise| change(client, readings.fetch(client[:id], []), exercise, before[exercise], now[exercise]) }
        end
        { clients: clients, asked: affected[:rows].size, of: affected[:of] }
      end

      private

      def exercises = Store::Tables::Machines.exercises(@row)
      def advice(machine, estimate) = Fitting::Advice.new(machine: machine, estimate: estimate, wishes: wishes(machine.family))

      # Of the best marks: the grade alone, without what a person needs to judge it.
      def grade(machine, estimate)
        Fitting::SEVERITIES[Fitting::Solver.new(machine: machine, body: estimate.dimensions, wishes: wishes(machine.family)).solutions.first.worst] unless machine.family.findings.empty?
      end

      # As the gym has its rules.
      def wishes(family) = Fitting::Wishes.for(family, **Fitting::HouseRules.wishes(family, rules))
      def rules = @rules ||= Fitting::HouseRules.chosen(gym: @gym.rules.of_gym)

      def change(client, readings, exercise, before, now)
        estimate = Inputs::ClientBody.estimation(client, readings).estimate
        was, is = [before, now].map { |machine| advice(machine, estimate) }
        return if was.marks == is.marks && was.status == is.status

        { client: Views::Client.summary(client), exercise: exercise.to_s, before: Views::Machine.tags(was.marks), now: Views::Machine.tags(is.marks),
          grade_before: was.evaluation.grade, grade_now: is.evaluation.grade }
      end
    end
  end
end
