# frozen_string_literal: true

module Verglas
  module Application
    # How much of the range somebody new goes through today, where the house begins with less: the marks and places that
    # set it, opened by as much as the rung asks since they were accepted, and what the whole range will be.
    # docs/model.md section 16
    class RangeToday
      # What of a machine sets the range, {label => index of a mark} and {choice => number}.
      Set = Struct.new(:marks, :choices)

      # marks, aids: as accepted, or as advised; from: the share of the range for which they were chosen.
      def initialize(meeting, marks, aids, from: meeting.range_share)
        @meeting = meeting
        @marks = marks
        @aids = aids
        @from = from
      end

      # Of an accepted fitting's work: the share for which its marks were chosen stands there, where it was not all.
      def self.since(meeting, marks, aids, work)
        new(meeting, marks, aids, from: work.fetch("range_share", 1.0))
      end

      def share = @meeting.range_share
      def whole? = share >= 1

      # {label => mark} and aids of today.
      def marks = @marks.merge(moved(share).marks.to_h { |label, index| [label, adjuster(label).marks[index]] })
      def aids = @aids.merge(moved(share).choices.transform_keys(&:to_s))

      # The same over the whole range, only what sets it: tags as a person reads them.
      def whole_tags
        whole = moved(1.0)
        marks = whole.marks.to_h { |label, index| [label, adjuster(label).marks[index]] }
        Told::Names.tags(marks, Aids.of(whole.choices.transform_keys(&:to_s)).slice(*whole.choices.keys.map(&:to_s)))
      end

      # Clean visits that are still missing for all of it.
      def visits_missing = @meeting.rows.ladder.missing_for_whole

      private

      def machine = @meeting.machine
      def adjuster(label) = machine.adjuster(label)

      # Moved from where it was accepted by as much as the best place moves from one share to the other.
      def moved(to)
        return Set.new({}, {}) if to == @from

        was, now = [@from, to].map { |share| best(share) }
        Set.new(
          now.marks.to_h do |label, index|
            accepted = adjuster(label).marks.index(@marks[label]) || was.marks[label]
            [label, (accepted + index - was.marks[label]).clamp(0, adjuster(label).size - 1)]
          end,
          now.choices.to_h do |name, number|
            [name, (@aids.fetch(name.to_s, was.choices[name]) + number - was.choices[name]).round.to_f]
          end
        )
      end

      # Where the rest stands as accepted.
      def best(share) = (@best ||= {})[share] ||= Set.new(marks_for(share), choices_for(share))

      def marks_for(share)
        setting.to_h do |one|
          indices = machine.indices(@marks)
          at = machine.adjusters.index(one)
          scores = Array.new(one.size) { |index| [score(share, one, machine.set(indices, at, index)), index] }
          [one.label, scores.min.last]
        end
      end

      def score(share, adjuster, indices)
        evaluation(share, indices).then do |one|
          decision = machine.deciding(adjuster)
          wanted = one.mechanics.required(decision, one.place)
          off = wanted ? (one.mechanics.position(decision, one.place) - wanted).abs : 0.0
          [*one.score.key.take(1), off.round(6)]
        end
      end

      def choices_for(share)
        placed = evaluation(share, machine.indices(@marks)).wishes.values
        placing.to_h { |choice| [choice.name, placed.fetch(choice.name)] }
      end

      # Adjusters that should stand elsewhere with less of the range, and choices that are made with it.
      def setting
        @setting ||=
          machine.adjusters.select do |one|
            decision = machine.deciding(one)
            decision && [share < 1 ? share : @from, 1.0].map { |some| required(some, decision) }.uniq.size > 1
          end
      end

      def required(share, decision)
        at = evaluation(share, machine.indices(@marks))
        at.mechanics.required(decision, at.place)&.round(6)
      end

      def placing
        machine.family.choices.each_value.select { |choice| choice.stage == :range && choice.placed? && !choice.added? }
      end

      def evaluation(share, indices)
        given = Aids.wishes(machine.family, @aids).except(*placing.map(&:name))
        Fitting::Evaluation.new(
          machine: machine,
          estimate: @meeting.estimation.met,
          wishes: @meeting.wishes_for(machine, **given, range_share: share),
          indices: indices
        )
      end
    end
  end
end
