# frozen_string_literal: true

module Verglas
  module Fitting
    # The advised marks for a body on a machine with all that a person needs to judge them: how sure, why, the
    # runner-up, what is short and what would mend it, which reading would help most. docs/model.md sections 8 and 9.
    class Advice
      STATUSES = %i[fits fits compromise impossible].freeze
      WORTH_NAMING = 0.2
      NO_MARK = 0.5
      BEST_AND_SECOND = 2

      # mark: as advised, nil for one that is recorded only; probability: that it is the right one; also: {mark =>
      # probability} of others worth naming; requirement: what decides it (nil where no rule does); too_far: :below or
      # :above when probably no mark reaches, missing: by how much (mm or degrees) the nearest mark misses the required
      # place then.
      AdjusterAdvice = Value.define(:label, :mark, :requirement, :probability, :also, :too_far, :missing)

      attr_reader :machine, :estimate, :wishes, :taken

      # estimate: Body::Estimate; taken: names of the tape readings it rests on; choices: what may be added; held:
      # {label => index} of adjusters that stand where they are, and instead: where they would stand in the runner-up.
      def initialize(machine:, estimate:, wishes:, taken: [], choices: Choices.none, held: {}, instead: nil)
        @machine = machine
        @estimate = estimate
        @taken = taken
        @held = held
        @instead = instead
        @wishes = choices.computed(machine, estimate.dimensions, wishes)
        @solutions = solve(@wishes, most: BEST_AND_SECOND)
        @without = @solutions.first
        seek(choices)
      end

      def evaluation = @evaluation ||= evaluate(@solutions.first.indices)
      def marks = evaluation.marks

      # nil where nothing is taped, so that nothing is claimed.
      def status = evaluation.grade && STATUSES[evaluation.score.worst]

      # The best result with the joint set otherwise; nil where the machine leaves no choice.
      def runner_up
        second = @instead ? solve(@wishes, @instead).first : @solutions[1]
        second && (@runner_up ||= evaluate(second.indices))
      end

      def shortfalls = Shortfall.all(evaluation)

      # What is missing without a choice that helped (mm): by how much what it mends lies outside its close band.
      def missing_without(choice)
        plain = evaluate(@without.indices, plain_wishes)
        codes = machine.family.choices.fetch(choice).mends
        plain
          .findings
          .select { |finding| codes.include?(finding.code) }
          .map { |finding| plain.kind(finding.code).band.shortfall(finding.graded) }
          .max
          .to_f
      end

      # The worst finding's severity had no cushion been used.
      def grade_without_cushions = Machines::SEVERITIES[@without.worst]

      def adjusters
        @adjusters ||=
          machine.adjusters.each_with_index.map do |adjuster, place|
            adjuster_advice(adjuster, place, evaluation.indices[place])
          end
      end

      # Slopes of the required lengths by body parameter: what a further reading would narrow.
      def gradients
        adjusters.filter_map(&:requirement).select { |requirement| requirement.unit == :mm }.map(&:gradient)
      end

      def next_readings = Body::NextReading.rank(estimate: estimate, gradients: gradients, taken: taken)

      private

      def evaluate(indices, wishes = @wishes)
        Evaluation.new(machine: machine, estimate: estimate, wishes: wishes, indices: indices)
      end
      def plain_wishes
        @wishes.wishing(**machine.family.choices.each_value.select(&:sought?).to_h { |choice| [choice.name, 0.0] })
      end
      def solve(wishes, held = @held, most: 1)
        Solver.new(machine: machine, body: estimate.dimensions, wishes: wishes, held: held).solutions(most)
      end

      # With what helps of what may be added.
      def seek(choices)
        chosen, =
          choices.search(machine.family, @without, tries: machine.tries, wanting: wanting) do |way|
            solve(@wishes.wishing(**way)).first
          end
        return if chosen.empty?

        @wishes = @wishes.wishing(**chosen)
        @solutions = solve(@wishes, most: BEST_AND_SECOND)
      end

      # Codes of what is as bad as anything where nothing is added; nil where no choice asks.
      def wanting
        return unless machine.family.choices.each_value.any? { |choice| choice.mends.any? }

        plain = evaluate(@without.indices)
        plain.findings.select { |finding| finding.severity == plain.score.worst }.map(&:code)
      end

      def adjuster_advice(adjuster, place, index)
        requirement =
          Requirement.of(
            machine: machine,
            estimate: estimate,
            wishes: evaluation.wishes,
            indices: evaluation.indices,
            adjuster: adjuster
          )
        probability =
          requirement &&
            MarkProbability.of(positions: requirement.positions, mean: requirement.mean, sd: requirement.sd)
        too_far = probability && reach(probability)
        AdjusterAdvice.new(
          label: adjuster.label,
          mark: machine.group_of(place) == :recorded ? nil : adjuster.marks[index],
          requirement: requirement,
          probability: probability&.marks&.at(index),
          also: also(adjuster, probability, index),
          too_far: too_far,
          missing: too_far && missing(requirement)
        )
      end

      def also(adjuster, probability, advised)
        return {} unless probability

        adjuster
          .marks
          .zip(probability.marks)
          .each_with_index
          .select { |(_, share), index| share > WORTH_NAMING && index != advised }
          .to_h(&:first)
      end

      def reach(probability)
        return unless probability.none > NO_MARK

        probability.below > probability.above ? :below : :above
      end

      def missing(requirement) = requirement.positions.map { |position| (requirement.mean - position).abs }.min
    end
  end
end
