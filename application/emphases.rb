# frozen_string_literal: true

module Verglas
  module Application
    # What the exercise of a bench can be done for: as it stands, and each emphasis that its family offers.
    # docs/model.md section 16
    class Emphases
      # name: of the exercise; family: its own; beside: whether it is done beside what the machine is there for; bars:
      # why it is closed for this client (Bar); feet: of a rail, where they stand and what hip and knee take there
      # (Mechanisms::Rail#at_share), nil elsewhere.
      Line =
        Struct.new(:name, :family, :beside, :active, :bars, :feet, keyword_init: true) do
          def emphasis = family.emphasis
        end

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

      # [Line]; [] where there is nothing to choose: all that is done on this seat without pinning anything anew. What a
      # caution closes is not among them.
      def self.of(meeting)
        whole = Verglas::Machines::Families.fetch(meeting.machine_row[:family])
        here = whole.exercises.key?(nil) ? whole.all_exercises : of_plain(whole, meeting.plain)
        return [] if here.one?

        lines = here.map { |name, family| line(meeting, name.to_s, family) }
        lines.reject! { |one| !one.active && one.bars.any? { |bar| bar.code == :emphasis_closed } }
        lines.one? ? [] : lines
      end

      def self.of_plain(whole, plain) = whole.all_exercises.select { |name, _| whole.plain(name) == plain }

      def self.line(meeting, name, family)
        plain = Described.plain(meeting.machine_row, name)
        same = plain == meeting.plain
        Line.new(
          name: name,
          family: family,
          beside: !meeting.station? && !plain.empty?,
          active: name == meeting.exercise,
          bars: same ? meeting.safety.emphasis_bars(family) : meeting.safety.bars(family),
          feet: (feet(meeting, family) if same)
        )
      end

      # At the advised marks.
      def self.feet(meeting, family)
        return unless family.wishes.key?(:foot_share) && meeting.machine.family.told.include?(:joint)

        share = family.emphasis&.wishes&.fetch(:foot_share) || family.wishes.fetch(:foot_share).default
        at = meeting.advice.evaluation
        at.mechanics.at_share(at.place, share)
      end
      private_class_method :of_plain, :line, :feet
    end
  end
end
