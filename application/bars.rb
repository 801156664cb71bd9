# frozen_string_literal: true

module Verglas
  module Application
    # What keeps a client off a machine beside the maker's word: a caution; a joint that the machine holds, or moves
    # unseen or untaped, past what is allowed; no range at all; a load that is too heavy at its lightest.
    class Bars
      # machine: as far as it can be told; taped: names of the lengths that are.
      def initialize(safety, family, machine, taped:)
        @taped = taped
        @safety = safety
        @family = Machines::Families.of_exercise(family.id)
        @machine = machine
      end

      def all = [*cautions, *held, *by_eye, *untaped, *nothing_left, too_heavy].compact

      private

      def envelope = @envelope ||= @safety.envelope(@family)
      def hard = @hard ||= @safety.hard(@family)

      def cautions
        @safety
          .effect(@family)
          .bars
          .map { |bar| Bar.of(:caution, caution: bar.caution, until: bar.until, motion: bar.motion) }
      end

      # A joint which the machine holds past what a caution, a clinician or the client's own measure allows.
      def held
        past =
          @family
            .joints
            .each_value
            .select(&:held?)
            .reject { |joint| envelope.cover?(joint.motion, joint.held_within(envelope)) }
        past.map { |joint| Bar.of(:held, motion: joint.motion, deg: joint.held_deg.round, limit: limit_passed(joint)) }
      end

      def limit_passed(joint)
        from, upto = envelope[joint.motion]
        (upto && joint.held_deg > upto ? upto : from).round
      end

      # A joint of which no angle is claimed is barred by a caution's or a clinician's figure.
      def by_eye
        @family
          .joints
          .each_value
          .select { |joint| joint.by_eye? && limited?(joint) }
          .map { |joint| Bar.of(:by_eye, motion: joint.motion) }
      end

      # The same until the lengths are taped that would tell it.
      def untaped
        unknown = @family.joints.each_value.select { |joint| joint.computed? && limited?(joint) && !told?(joint) }
        unknown.map { |joint| Bar.of(:untaped, motion: joint.motion, lengths: missing(joint)) }
      end

      def limited?(joint) = hard[joint.motion] != Body::Envelope::OPEN
      def told?(joint) = (joint.groups - @machine.family.told).empty?
      def missing(joint) = joint.groups.flat_map { |group| @family.groups.fetch(group) }.uniq - @taped

      # Where a caution, a clinician and what was measured leave no range between them, nobody can be told how far to
      # go.
      def nothing_left = envelope.contradictions.map { |motion| Bar.of(:nothing_left, motion: motion) }

      # The lightest that can be made is more than is allowed.
      def too_heavy
        limit = @safety.load_limit_kg(@family)
        lightest = @safety.rig&.choices&.lightest
        return unless limit && lightest && lightest.mass_kg > limit + Loading::Choices::ROUNDING_KG
        Bar.of(:too_heavy, lightest_kg: lightest.mass_kg, limit_kg: limit)
      end
    end
  end
end
