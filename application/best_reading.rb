# frozen_string_literal: true

module Verglas
  module Application
    # Which length, read next, would narrow the settings of most of the gym's people: of each the one that helps most on
    # the machines in use.
    class BestReading
      # lengths: [[observation, people]], the one that helps most people first; asked: how many people, of: of how many.
      Answer = Struct.new(:lengths, :asked, :of)

      def self.of(gym) = new(gym).answer

      def initialize(gym)
        @gym = gym
      end

      def answer
        machines
        all = AskedOfAll.of(@gym) { |client, readings| best(client, readings) }
        lengths = all.answers.compact.map(&:to_sym).tally.sort_by { |name, people| [-people, name] }
        Answer.new(lengths, all.asked, all.of)
      end

      private

      def machines
        @machines ||=
          @gym
            .machines
            .in_service
            .select { |row| row[:state] == "in_use" }
            .flat_map { |row| Described.exercises(row).map { |name| Described.value(row, exercise: name) } }
      end

      # nil of somebody for whom none is worth the time.
      def best(client, readings)
        known = ClientBody.estimation(client, readings)
        gradients =
          machines.flat_map do |machine|
            wishes = Mechanisms::Wishes.for(machine.family)
            Fitting::Requirement.gradients(machine: machine, estimate: known.met, wishes: wishes)
          end
        taken = readings.map { |row| row[:observation].to_sym }
        first = Body::NextReading.rank(estimate: known.estimate, gradients: gradients, taken: taken).first
        first.observation if first&.worth_taking?
      end
    end
  end
end
