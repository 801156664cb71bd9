# frozen_string_literal: true

module Verglas
  module Fitting
    # The best marks for one exact body. Every combination of the joint adjusters is tried; for each, the groups of
    # other adjusters are solved one at a time and joined. A group keeps its cheapest member for every (worst severity,
    # number): all that a whole result's score can see of it, so the answer is that of the full product. What the joint
    # alone comes to is the least that the whole can: where that is no better than what was found, no group is solved.
    # docs/model.md section 9.
    class Solver
      # indices: one mark's index an adjuster, in the machine's order; preference: [what comes before the worst
      # severity, what comes after it], as the mechanism has it, smaller is better, told of the joint's place alone and
      # so the same for all that is joined to it.
      Solution =
        Struct.new(:indices, :score, :preference, :order) do
          include Comparable

          def worst = score.worst
          def key = [*preference.first, score.worst, *preference.last, *score.key, *order]
          def <=>(other) = key <=> other.key

          # What is left to compare among those that have the same worst severity, number and preference.
          def tie = [score.cost.round(9), *order]
        end

      NONE = [[].freeze, [].freeze].freeze

      # held: {label => index} of adjusters that stand where they are.
      def initialize(machine:, body:, wishes:, held: {})
        @machine = machine
        @held = held
        @mechanics = Mechanisms.for(machine, body, wishes)
        @family = machine.family
        @together = machine.leading.to_h { |place| [place, machine.together(place)] }
        @leader = @together.flat_map { |place, all| all.map { |one| [one, place] } }.to_h
        places = @together.keys.group_by { |place| machine.group_of(place) }
        @joint_places = places.delete(:joint) || []
        @group_places = @family.side_groups.to_h { |group| [group, places.fetch(group, [])] }
        # Told and graded at the marks that were chosen, but no reason to choose them.
        @weightless = @family.findings.each_value.reject(&:weighs).map(&:code)
      end

      # The best solution for each combination of the joint adjusters, best first: the first `most` of them.
      def solutions(most = 1)
        return [Solution.new(filled({}), Score.of([]), NONE, [])] if @family.findings.empty?

        starts
          .sort_by { |start| start.alone.key }
          .each_with_object([]) do |start, best|
            break best if best.size == most && (best.last.key <=> start.alone.key).negative?

            best.push(whole(start)).sort_by!(&:key)
            best.pop if best.size > most
          end
      end

      private

      # The joint at one combination of its adjusters: {place => index}, where it stands, and the Solution but for the
      # other groups.
      Start = Struct.new(:choice, :standing, :alone)
      private_constant :Start

      def starts
        combinations(@joint_places).map do |choice|
          indices = filled(choice)
          place = @mechanics.place(@machine.parameters(indices))
          preference = [@mechanics.precedence(place), @mechanics.preference(place)]
          alone = Solution.new(indices, score(@mechanics.findings(:joint, place)), preference, choice.values)
          Start.new(choice, place, alone)
        end
      end

      # The best of all that the other groups can be with it.
      def whole(start)
        partial =
          @group_places.inject([start.alone]) do |wholes, (group, places)|
            members = members(group, places, start)
            cheapest(wholes.product(members).map { |whole, member| joined(whole, member) })
          end
        partial.min_by(&:key)
      end

      def members(group, places, start)
        return [settled(places, start.choice)] unless @family.grades?(group)

        cheapest(
          combinations(places).map do |choice|
            indices = filled(start.choice.merge(choice))
            place = @mechanics.place(@machine.parameters(indices), standing: start.standing)
            Solution.new(choice, score(@mechanics.findings(group, place)), NONE, choice.values)
          end
        )
      end

      def score(findings)
        Score.of(@weightless.empty? ? findings : findings.reject { |finding| @weightless.include?(finding.code) })
      end

      # Where nothing is graded, each adjuster stands nearest to what its rule asks.
      def settled(places, joint_choice)
        choice = places.to_h { |place| [place, choices(place).min_by { |index| miss(place, index, joint_choice) }] }
        Solution.new(choice, Score.of([]), NONE, choice.values)
      end

      def miss(adjuster, index, joint_choice)
        decision = @machine.deciding(@machine.adjusters[adjuster])
        place = @mechanics.place(@machine.parameters(filled(joint_choice.merge(adjuster => index))))
        (@mechanics.position(decision, place) - @mechanics.required(decision, place)).abs
      end

      def joined(whole, member)
        indices = whole.indices.dup
        member.indices.each { |place, index| @together[place].each { |one| indices[one] = index } }
        Solution.new(indices, whole.score + member.score, whole.preference, whole.order + member.order)
      end

      def cheapest(solutions)
        solutions
          .group_by { |solution| [solution.score.worst, solution.score.number] }
          .each_value
          .map { |same| same.one? ? same.first : same.min_by(&:tie) }
      end

      # {place => index}, in the machine's printed order, smaller index first.
      def combinations(places)
        return [{}] if places.empty?

        first, *others = places.map { |place| choices(place) }
        first.product(*others).map { |indices| places.zip(indices).to_h }
      end

      def choices(place)
        held = @together[place].filter_map { |one| @held[@machine.adjusters[one].label] }
        held.any? ? held.take(1) : (0...@machine.adjusters[place].size).to_a
      end

      def filled(choice) = @machine.adjusters.each_index.map { |place| choice.fetch(@leader[place], 0) }
    end
  end
end
