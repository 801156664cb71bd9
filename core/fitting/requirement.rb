# frozen_string_literal: true

module Verglas
  module Fitting
    # Which place a body asks of one adjuster, the others standing where they are: what decides it, the places which its
    # marks offer, the place required (mean and SD) and the slopes of that place by body parameter. The machine's own
    # frame; mm, or degrees where an angle is asked. docs/model.md sections 3, 4 and 8.
    class Requirement
      attr_reader :decided_by, :unit, :positions, :mean, :sd, :gradient

      # nil for an adjuster whose place no rule decides (one that is recorded only), or one whose rule asks for no place
      # but prefers.
      def self.of(machine:, estimate:, wishes:, indices:, adjuster:)
        decided_by = machine.deciding(adjuster)
        return unless decided_by && Mechanisms.of(machine)::RULES.fetch(decided_by).required
        new(machine, estimate, wishes, indices, adjuster, decided_by)
      end

      # Slopes of all lengths that a machine asks of a body, at the middle of its marks: what a reading is worth there,
      # before anything is solved. They hardly depend on the marks.
      def self.gradients(machine:, estimate:, wishes:)
        indices = machine.adjusters.map { |adjuster| adjuster.size / 2 }
        machine
          .adjusters
          .filter_map do |adjuster|
            of(machine: machine, estimate: estimate, wishes: wishes, indices: indices, adjuster: adjuster)
          end
          .select { |requirement| requirement.unit == :mm }
          .map(&:gradient)
      end

      def initialize(machine, estimate, wishes, indices, adjuster, decided_by)
        @machine = machine
        @wishes = wishes
        @decided_by = decided_by
        @rule = mechanism::RULES.fetch(decided_by)
        @unit = @rule.unit
        @parameters = machine.parameters(indices)
        @body = estimate.dimensions
        @positions = positions_of(adjuster, indices)
        @mean = required(@body)
        @gradient = estimate.gradients(along: mechanism::BODY_PARAMETERS) { |body| [required(body)] }.first
        @sd =
          Math.sqrt(estimate.normal.variance(@gradient) + (@rule.constants * (Machines::Constant.taped_sd(@unit)**2)))
        freeze
      end

      private

      def mechanism = Mechanisms.of(@machine)

      def positions_of(adjuster, indices)
        at = @machine.adjusters.index(adjuster)
        mechanics = Mechanisms.for(@machine, @body, @wishes)
        adjuster.marks.each_index.map do |mark|
          mechanics.position(decided_by, mechanics.place(@machine.parameters(@machine.set(indices, at, mark))))
        end
      end

      def required(body)
        mechanics = Mechanisms.for(@machine, body, @wishes)
        mechanics.required(decided_by, mechanics.place(@parameters))
      end
    end
  end
end
