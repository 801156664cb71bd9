# frozen_string_literal: true

module Verglas
  module Application
    # What the exercise of a bench can be done for: as it stands, and each emphasis that its family offers.
    # docs/model.md section 16
    class Emphases
      # name: of the exercise; emphasis: Machines::Emphasis, nil for what the family is there for; bars: why it is
      # closed for this client (Bar); feet: of a rail, where they stand and what hip and knee take there
      # (Mechanisms::Rail#at_share), nil elsewhere.
      Line = Struct.new(:name, :emphasis, :active, :bars, :feet, keyword_init: true)

      # The exercise that a house rule puts first in the place of a plain one ("" on most machines); the block answers
      # {question => school} as cautions leave them.
      def self.first(family, plain)
        return plain if family.emphasis || Verglas::Machines::Emphasis.questions(family).empty?

        rules = yield
        one =
          Verglas::Machines::Emphasis
            .of(family)
            .find { |some| some.question && rules[some.question] == some.schools[some.question] }
        one ? [*plain[/.+/], one.name].join("_") : plain
      end

      # {question => school} that goes with what a family's exercise is done for, or beside its emphases.
      def self.schools(family)
        plain =
          Verglas::Machines::Emphasis
            .questions(family)
            .to_h { |question| [question, Guidance::HouseRules.fetch(question).default] }
        { **plain, **family.emphasis&.schools.to_h }
      end

      # [Line]; [] where there is nothing to choose. What a caution closes is not among them.
      def self.of(meeting)
        whole = Verglas::Machines::Families.fetch(meeting.machine_row[:family])
        plain = whole.exercise(meeting.plain)
        emphases = Verglas::Machines::Emphasis.of(plain)
        return [] if emphases.empty?

        lines = [nil, *emphases].map { |emphasis| line(meeting, whole, emphasis) }
        lines.reject! { |one| !one.active && one.bars.any? { |bar| bar.code == :emphasis_closed } }
        lines.one? ? [] : lines
      end

      def self.line(meeting, whole, emphasis)
        name = [*meeting.plain[/.+/], *emphasis&.name].join("_")
        Line.new(
          name: name,
          emphasis: emphasis,
          active: name == meeting.exercise,
          bars: meeting.safety.emphasis_bars(whole.exercise(name)),
          feet: feet(meeting, whole.exercise(name))
        )
      end

      # At the advised marks.
      def self.feet(meeting, family)
        return unless family.wishes.key?(:foot_share) && meeting.machine.family.told.include?(:joint)

        share = family.emphasis&.wishes&.fetch(:foot_share) || family.wishes.fetch(:foot_share).default
        at = meeting.advice.evaluation
        at.mechanics.at_share(at.place, share)
      end
      private_class_method :line, :feet
    end
  end
end
