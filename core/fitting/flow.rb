# frozen_string_literal: true

module Verglas
  module Fitting
    # The steps of a fitting in the order in which they are done, made from a machine's adjusters and what the walk-round
    # found of them: before anyone sits, joint to pivot, support, range, far pad, near pad, check again, secure, light set,
    # watch, working load. What cannot be reached from the seat is set before anyone sits.
    module Flow
      # id: an adjuster's label, or one of the steps that every machine has; stage: one of STAGES; rule: what decides the
      # adjuster (nil: none, it is recorded only); standing: set before the client sits; weight_off: unload it first.
      Step = Value.define(:id, :stage, :adjuster, :rule, :standing, :weight_off) do
        def self.fixed(stage) = new(id: "@#{stage}", stage: stage, adjuster: nil, rule: nil, standing: stage == :before, weight_off: false)
        def fixed? = adjuster.nil?
      end

      STAGES = %i[before standing lie joint support range far near recorded again secure light watch working].freeze
      FIXED = %i[before support again secure light watch working].freeze
      STAGE_OF = { height: :joint, pivot: :joint, hips: :joint, bench_end: :joint, crease: :support, start: :range, end: :range, contact: :far, thigh_press: :near, kneecap: :near }.freeze
      # Where the leg is fitted first and the seat slid to it.
      ROLLER_FIRST = (STAGES - [:far]).insert(STAGES.index(:joint), :far).freeze

      module_function

      # walk_round: {label => {reachable_seated:, weight_off_first:}}; what is not noted can be reached.
      def steps(machine, walk_round: {}, roller_first: false)
        order = roller_first ? ROLLER_FIRST : STAGES
        own = machine.adjusters.map { |adjuster| adjuster_step(machine, adjuster, walk_round.fetch(adjuster.label, {})) }
        fixed = [*FIXED, *(:lie if Mechanisms.of(machine)::SLIDES)].map { |stage| Step.fixed(stage) }
        # A step that every machine has stands before the adjusters of its stage.
        [*fixed, *own].sort_by.with_index { |step, index| [order.index(step.standing && !step.fixed? ? :standing : step.stage), within(step), index] }
      end

      # Height before fore and aft: the knee has to be level before it can be in line.
      def within(step) = step.rule ? STAGE_OF.keys.index(step.rule) + 1 : 0

      def adjuster_step(machine, adjuster, facts)
        rule = adjuster.recorded_only? ? nil : Mechanisms.of(machine).deciding(machine, adjuster)
        Step.new(id: adjuster.label, stage: STAGE_OF.fetch(rule, :recorded), adjuster: adjuster.label, rule: rule,
                 standing: facts[:reachable_seated] == false, weight_off: facts[:weight_off_first] == true)
      end
      private_class_method :within, :adjuster_step
    end
  end
end
