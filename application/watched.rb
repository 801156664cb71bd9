# frozen_string_literal: true

module Verglas
  module Application
    # What was seen on a bench, as readings: repetitions that were watched at some marks, what was tried for a sign and
    # what came of it, and the signs that are ticked now; and what to try next. docs/model.md section 18.
    class Watched
      # move: Guidance::SignReading::Move; sign: the one that it is for, nil where none is seen; now, after: P(the joint
      # is in line); evaluation, moved: as it is known now, at the marks that stand and after the move; unexplained:
      # names of signs that what is known does not explain; waits: whether it is to be watched again first.
      Next = Struct.new(:move, :sign, :now, :after, :evaluation, :moved, :unexplained, :waits)

      # Of what was tried: it is seen as it was.
      STILL = %w[same worse].freeze
      private_constant :STILL

      # sheet: {marks:, aids:, signs:, trail:, watched:} as the bench has it.
      def initialize(meeting, sheet)
        @meeting = meeting
        @sheet = sheet
        @indices = meeting.machine.indices(sheet[:marks])
        @signs = sheet.fetch(:signs, []).map(&:to_sym)
      end

      # nil where nothing was watched that is a reading, and where something bars: nobody is moved there.
      def next
        return if looks.empty? || @meeting.bars.any?

        looks.each { |indices, seen, not_seen| reading.look(indices, seen: seen, not_seen: not_seen) }
        unexplained = reading.unexplained(@indices)
        explained = (@signs & shown) - unexplained
        # What the numbers do not explain leads on, and to no notch.
        move = best if (explained.any? || unexplained.empty?) && !waits?
        Next.new(
          move,
          explained.first || unexplained.first,
          reading.in_line(@indices),
          move && reading.in_line(move.indices, standing: @indices),
          reading.knowledge.evaluation(@indices),
          move && reading.knowledge.evaluation(move.indices),
          unexplained,
          waits?
        )
      end

      private

      def machine = @meeting.machine
      def shown = @shown ||= Guidance::SignReading.shown_on(machine)

      def reading
        @reading ||=
          Guidance::SignReading.new(
            machine: machine,
            estimate: @meeting.estimation.met,
            wishes: @meeting.wishes_for(machine, **Aids.wishes(machine.family, Aids.sent(@sheet.fetch(:aids, {})))),
            dressed: true
          )
      end

      # [[indices, seen, not seen]], the oldest first.
      def looks
        @looks ||=
          [*of_trail, *of_watched, [@indices, (@signs - waiting) & shown, []]].reject do |_, seen, none|
            seen.empty? && none.empty?
          end
      end

      # Whether what was tried is to be watched before anything else is.
      def waits? = @signs.intersect?(waiting) && of_watched.none? { |indices, *| indices == @indices }

      # Signs for which something was tried that stands, and of which nobody said yet what came of it, or that it is
      # better: they are ticked for what was seen before.
      def waiting
        @sheet
          .fetch(:trail, [])
          .select { |one| @sheet[:marks][one["adjuster"]] == one["to"] && !STILL.include?(one["outcome"]) }
          .map { |one| one["sign"].to_sym }
      end

      def of_watched
        @sheet
          .fetch(:watched, [])
          .filter_map do |one|
            indices = indices(one["marks"]) or next
            seen = one["seen"].map(&:to_sym) & shown
            [indices, seen, indices == @indices ? shown - seen - @signs : shown - seen]
          end
      end

      # Walked back from the marks that stand now: for what it was tried it was seen before, and after it where nothing
      # came of it.
      def of_trail
        marks = @sheet[:marks].dup
        @sheet
          .fetch(:trail, [])
          .reverse
          .flat_map do |one|
            after = indices({ **marks, one["adjuster"] => one["to"] })
            marks = { **marks, one["adjuster"] => one["from"] }
            [outcome(one, after), before(one, indices(marks))]
          end
          .compact
          .reverse
      end

      def before(one, indices)
        sign = one["sign"].to_sym
        [indices, [sign], []] if indices && shown.include?(sign)
      end

      # Better is not gone: of that nothing is known but by watching again.
      def outcome(one, indices)
        sign = one["sign"].to_sym
        [indices, [sign], []] if indices && shown.include?(sign) && STILL.include?(one["outcome"])
      end

      # nil of marks that the machine does not have any more.
      def indices(marks)
        machine.indices(marks)
      rescue Invalid
        nil
      end

      def best = reading.move(@indices)&.then { |move| move if acceptable?(move) }

      # Nothing is offered with which nothing is ever accepted.
      def acceptable?(move)
        evaluation = @meeting.evaluation(machine.marks(move.indices), @sheet.fetch(:aids, {}))
        @meeting.unacceptable(evaluation, { work: {} }).empty?
      end
    end
  end
end
