# frozen_string_literal: true

module Verglas
  module Fitting
    # The best marks for one exact body. Every combination of the joint adjusters is tried; for each, the groups of other
    # adjusters are solved one at a time and joined. A group keeps its cheapest member for every (worst severity, number):
    # all that a whole result's score can see of it, so the answer is that of the full product. docs/model.md section 9.
    class Solver
      # indices: one mark's index an adjuster, in the machine's order.
      Solution = Struct.new(:indices, :score, :order) do
        include Comparable

        def worst = score.worst
        def <=>(other) = [*score.key, *order] <=> [*other.score.key, *other.order]
      end

      # held: {label => index} of adjusters that stand where they are.
      def initialize(machine:, body:, wishes:, held: {})
        @machine = machine
        @held = held
        @mechanics = Mechanisms.for(machine, body, wishes)
        places = machine.adjusters.each_index.group_by { |place| machine.family.group_of(machine.adjusters[place]) }
        @joint_places = places.delete(:joint) || []
        @group_places = machine.family.groups.keys.to_h { |group| [group, places.fetch(group, [])] }
      end

      # The best solution for each combination of the joint adjusters, best first.
      def solutions = combinations(@joint_places).map { |chosen| best_for(chosen) }.sort

      private

      def best_for(joint_choice)
        return Solution.new(filled({}), Score.of([]), []) if @machine.family.findings.empty?

        parameters = @machine.parameters(filled(joint_choice))
        joint = @mechanics.joint(parameters)
        start = Solution.new(filled(joint_choice), Score.of(@mechanics.findings(:joint, joint, parameters)), joint_choice.values)
        partial = @group_places.inject([start]) do |wholes, (group, places)|
          members = members(group, places, joint_choice, joint)
          cheapest(wholes.product(members).map { |whole, member| joined(whole, member) })
        end
        partial.min
      end

      def members(group, places, joint_choice, joint)
        return [settled(places, joint_choice)] unless @machine.family.findings.value?(group)

        cheapest(combinations(places).map do |choice|
          parameters = @machine.parameters(filled(joint_choice.merge(choice)))
          Solution.new(choice, Score.of(@mechanics.findings(group, joint, parameters)), choice.values)
        end)
      end

      # Where nothing is graded, each adjuster stands nearest to what its rule asks.
      def settled(places, joint_choice)
        choice = places.to_h { |place| [place, choices(@machine.adjusters[place]).min_by { |index| miss(place, index, joint_choice) }] }
        Solution.new(choice, Score.of([]), choice.values)
      end

      def miss(place, index, joint_choice)
        rule = @mechanics.class::RULES.fetch(@mechanics.class.deciding(@machine, @machine.adjusters[place]))
        parameters = @machine.parameters(filled(joint_choice.merge(place => index)))
        (rule.position.call(parameters) - rule.required.call(@mechanics, parameters)).abs
      end

      def joined(whole, member)
        indices = whole.indices.dup
        member.indices.each { |place, index| indices[place] = index }
        Solution.new(indices, whole.score + member.score, whole.order + member.order)
      end

      def cheapest(solutions)
        solutions.group_by { |solution| [solution.score.worst, solution.score.number] }.each_value.map(&:min)
      end

      # {place => index}, in the machine's printed order, smaller index first.
      def combinations(places)
        return [{}] if places.empty?

        first, *others = places.map { |place| choices(@machine.adjusters[place]) }
        first.product(*others).map { |indices| places.zip(indices).to_h }
      end

      def choices(adjuster) = @held.key?(adjuster.label) ? [@held[adjuster.label]] : (0...adjuster.size).to_a
      def filled(choice) = @machine.adjusters.each_index.map { |place| choice.fetch(place, 0) }
    end
  end
end
