# frozen_string_literal: true

module Verglas
  module Fitting
    # The advised marks of a station on which several exercises share one seat: the marks of the shared adjusters are
    # enumerated, each with the best result of every exercise; compared by the worst of their severities, the sum of their
    # numbers, the sum of their costs, then marks. What each gave up against its own best is told. docs/model.md section 9.
    class StationAdvice
      # One choice of the shared marks and the best of every exercise with it. held: {label => index}.
      Whole = Struct.new(:held, :solutions) do
        include Comparable

        def worst = solutions.map(&:worst).max
        def key = [worst, solutions.sum { |one| one.score.number }, solutions.sum { |one| one.score.cost }.round(9), *held.values, *solutions.flat_map(&:order)]
        def <=>(other) = key <=> other.key
      end

      attr_reader :exercises, :cushion_back_mm, :cushion_seat_mm

      # machines: {exercise => Machine}; shared: labels of the adjusters they share; wishes: {exercise => Wishes}.
      def initialize(machines:, shared:, estimate:, wishes:, taken: [], cushions: Cushions.none)
        @machines = machines
        @labels = shared
        # One that moves nothing known stands at its first mark: its others would all be the same.
        @shared = shared.reject { |label| machines.each_value.all? { |machine| machine.adjuster(label).recorded_only? } }
        Machines::Family.check_tries(tries)
        @estimate = estimate
        @taken = taken
        plain = wholes(wishes)
        (back, seat), = cushions.search(plain.first, tries: tries) { |*pair| wholes(cushioned(wishes, *pair)).first }
        @cushion_back_mm = back
        @cushion_seat_mm = seat
        padded = [back, seat] != [0, 0]
        @wishes = padded ? cushioned(wishes, back, seat) : wishes
        best, second = padded ? wholes(@wishes) : plain
        @exercises = advices(held: best.held, instead: second&.held)
      end

      # {exercise => Advice} of each by itself.
      def alone = @alone ||= advices

      # Whether an exercise would stand elsewhere were it alone.
      def gave_up?(exercise) = alone[exercise].marks != exercises[exercise].marks

      # How many ways to stand are compared.
      def tries
        sizes = @shared.map { |label| @machines.each_value.first.adjuster(label).size }
        Machines::Station.tries(sizes, @machines.each_value.map { |machine| [machine.family, machine.ways(but_for: @labels)] })
      end

      private

      def advices(**given)
        @machines.to_h { |name, machine| [name, Advice.new(machine: machine, estimate: @estimate, wishes: @wishes[name], taken: @taken, **given)] }
      end

      def cushioned(wishes, back, seat) = wishes.transform_values { |wish| wish.with(cushion_back_mm: back.to_f, cushion_seat_mm: seat.to_f) }

      # One for each combination of the shared marks, best first.
      def wholes(wishes)
        choices = @shared.map { |label| (0...@machines.each_value.first.adjuster(label).size).to_a }
        combinations = choices.empty? ? [[]] : choices.first.product(*choices.drop(1))
        combinations.map { |indices| whole(@shared.zip(indices).to_h, wishes) }.sort
      end

      def whole(held, wishes)
        solutions = @machines.map do |name, machine|
          Solver.new(machine: machine, body: @estimate.dimensions, wishes: wishes[name], held: held).solutions.first
        end
        Whole.new(held, solutions)
      end
    end
  end
end
