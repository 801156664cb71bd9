# frozen_string_literal: true

module Verglas
  module Fitting
    # The advised marks of a station on which several exercises share one seat: the marks of the shared adjusters are
    # enumerated, each with the best result of every exercise; compared by the worst of their severities, the sum of
    # their numbers, the sum of their costs, then marks. What each gave up against its own best is told. docs/model.md
    # section 9.
    class StationAdvice
      # One choice of the shared marks and the best of every exercise with it. held: {label => index}.
      Whole =
        Struct.new(:held, :solutions) do
          include Comparable

          def worst = solutions.map(&:worst).max
          def key
            [
              worst,
              solutions.sum { |one| one.score.number },
              solutions.sum { |one| one.score.cost }.round(9),
              *held.values,
              *solutions.flat_map(&:order)
            ]
          end
          def <=>(other) = key <=> other.key
        end

      # chosen: {choice => mm} of what was added for all of them.
      attr_reader :exercises, :chosen

      # machines: {exercise => Machine}; shared: labels of the adjusters they share; wishes: {exercise => Wishes}.
      def initialize(machines:, shared:, estimate:, wishes:, taken: [], choices: Choices.none)
        @machines = machines
        @labels = shared
        # One that moves nothing known stands at its first mark: its others would all be the same.
        @shared = shared.reject { |label| machines.each_value.all? { |machine| idle?(machine, label) } }
        Machines::Family.check_tries(tries)
        @estimate = estimate
        @taken = taken
        plain = wholes(wishes)
        @chosen, =
          choices.search(machines.each_value.first.family, plain.first, tries: tries) do |way|
            wholes(wishing(wishes, way)).first
          end
        @wishes = wishing(wishes, @chosen)
        best, second = @chosen.empty? ? plain : wholes(@wishes)
        @exercises = advices(held: best.held, instead: second&.held)
      end

      # {exercise => Advice} of each by itself.
      def alone = @alone ||= advices

      # Whether an exercise would stand elsewhere were it alone.
      def gave_up?(exercise) = alone[exercise].marks != exercises[exercise].marks

      # How many ways to stand are compared.
      def tries
        sizes = @shared.map { |label| @machines.each_value.first.adjuster(label).size }
        Machines::Station.tries(
          sizes,
          @machines.each_value.map { |machine| [machine.family, machine.ways(but_for: @labels)] }
        )
      end

      private

      # One that moves nothing known, alone or with those that take its mark; or that takes another's.
      def idle?(machine, label)
        adjuster = machine.adjuster(label)
        adjuster.follows? || machine.group_of(machine.adjusters.index(adjuster)) == :recorded
      end

      def advices(**given)
        @machines.to_h do |name, machine|
          [name, Advice.new(machine: machine, estimate: @estimate, wishes: @wishes[name], taken: @taken, **given)]
        end
      end

      def wishing(wishes, way) = wishes.transform_values { |wish| wish.wishing(**way) }

      # One for each combination of the shared marks, best first.
      def wholes(wishes)
        choices = @shared.map { |label| (0...@machines.each_value.first.adjuster(label).size).to_a }
        combinations = choices.empty? ? [[]] : choices.first.product(*choices.drop(1))
        combinations.map { |indices| whole(@shared.zip(indices).to_h, wishes) }.sort
      end

      def whole(held, wishes)
        solutions =
          @machines.map do |name, machine|
            Solver.new(machine: machine, body: @estimate.dimensions, wishes: wishes[name], held: held).solutions.first
          end
        Whole.new(held, solutions)
      end
    end
  end
end
