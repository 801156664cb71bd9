# frozen_string_literal: true

module Verglas
  module Guidance
    # The steps of a fitting in the order in which they are done, made from a machine's adjusters and what the
    # walk-round found of them: before anyone sits, a hinge practised with a stick, joint to pivot, support, range, far
    # pad, near pad, check again, secure, light set, watch, working load. What cannot be reached from the seat is set
    # before anyone sits.
    module Flow
      # id: an adjuster's label, or one of the steps that every machine has; stage: one of STAGES; rule: what decides
      # the adjuster (nil: none, it is recorded only); choice: a placed choice that is made there, nil for none;
      # standing: set before the client sits; weight_off: unload it first.
      Step =
        Value.define(:id, :stage, :adjuster, :choice, :rule, :standing, :weight_off) do
          def self.fixed(stage)
            new(
              id: "@#{stage}",
              stage: stage,
              adjuster: nil,
              choice: nil,
              rule: nil,
              standing: stage == :before,
              weight_off: false
            )
          end
          def self.placing(choice)
            new(
              id: "@#{choice.name}",
              stage: choice.stage,
              adjuster: nil,
              choice: choice.name,
              rule: choice.name,
              standing: false,
              weight_off: false
            )
          end
          def fixed? = adjuster.nil? && choice.nil?
        end

      STAGES = %i[
        before
        practise
        standing
        lie
        joint
        support
        range
        far
        near
        recorded
        again
        secure
        light
        watch
        working
        out
      ].freeze
      FIXED = %i[before support again secure light watch working].freeze
      # {tag => what its families have besides}
      OF_TAGS = { lies_face_down: :lie, hinges: :practise }.freeze
      # Where the leg is fitted first and the seat slid to it.
      ROLLER_FIRST = (STAGES - [:far]).insert(STAGES.index(:joint), :far).freeze

      module_function

      # walk_round: {label => {reachable_seated:, weight_off_first:}}; what is not noted can be reached. told_out:
      # whether somebody described how one gets out.
      def steps(machine, walk_round: {}, roller_first: false, told_out: false)
        order = roller_first ? ROLLER_FIRST : STAGES
        own = machine.leading.map { |place| adjuster_step(machine, machine.together(place), walk_round) }
        fixed = fixed_of(machine.family, told_out).map { |stage| Step.fixed(stage) }
        placing = machine.family.choices.each_value.select(&:stage).map { |choice| Step.placing(choice) }
        # A step that every machine has stands before the adjusters of its stage.
        [*fixed, *own, *placing].sort_by.with_index do |step, index|
          [
            order.index(step.standing && !step.fixed? ? :standing : step.stage),
            order.index(step.stage),
            within(machine, step),
            index
          ]
        end
      end

      # Stages that every machine has, and those of its family.
      def fixed_of(family, told_out)
        [*FIXED, *OF_TAGS.slice(*family.tags.select { |_, said| said }.keys).values, *(:out if told_out)]
      end

      # What its family sets first (a height, before fore and aft: the knee has to be level before it can be in line),
      # then as it declares them; fixed steps before all.
      def within(machine, step)
        kind = step.adjuster && step.rule && kind_of(machine, step.adjuster)
        return 0, 0 unless kind

        [kind.first ? 1 : 2, machine.family.kinds.keys.index(kind.name)]
      end

      def kind_of(machine, label) = machine.family.kind_of(machine.adjuster(label).drives)

      # One step for all that stand as one: by what any of them decides, and as the one that is hardest to reach.
      def adjuster_step(machine, places, walk_round)
        adjusters = places.map { |place| machine.adjusters[place] }
        facts = adjusters.map { |one| walk_round.fetch(one.label, {}) }
        rule = machine.deciding(adjusters.first)
        Step.new(
          id: adjusters.first.label,
          stage: stage(machine, adjusters.first, rule),
          adjuster: adjusters.first.label,
          choice: nil,
          rule: rule,
          standing: facts.any? { |one| one[:reachable_seated] == false },
          weight_off: facts.any? { |one| one[:weight_off_first] == true }
        )
      end

      # One that decides something else beside another is set where what it decides is set.
      def stage(machine, adjuster, rule)
        return :recorded unless rule

        kind = machine.family.kind_of(machine.driving(adjuster).drives)
        rule == kind.decides ? kind.stage : machine.family.kinds.each_value.find { |other| other.decides == rule }.stage
      end
      private_class_method :fixed_of, :within, :kind_of, :adjuster_step, :stage
    end
  end
end
