# frozen_string_literal: true

module Verglas
  module Motion
    # What a set that was read tells against what was agreed: how far each repetition went, its seconds, what changed
    # over the set, and what to say first.
    class Review
      WORTH, HARD, BACK = Tables[:motion].values_at(:remarks, :hard, :back)
      # What is worth saying, the first first.
      CODES = %i[slipped slammed first_past past short not_back too_fast too_slow no_hold rushed shrinks slows].freeze
      # code: of CODES; params: {name => number} for the sentence.
      Remark = Value.define(:code, :params)

      # repetitions: [Repetition]; laid: Laid; planned: how many were to be done; tempo: Loading::Tempo; first_share:
      # how far of what was agreed the first is to go, below 1 the others alone are held against the whole.
      def initialize(repetitions, laid:, planned:, tempo:, first_share: 1, slam: false, slipped: false)
        @repetitions = repetitions
        @laid = laid
        @first_share = first_share
        @others = repetitions.drop(first_share < 1 ? 1 : 0)
        @planned = planned
        @tempo = tempo
        @seen = { slammed: slam, slipped: slipped }
      end

      attr_reader :repetitions, :planned, :first_share

      def slam? = @seen[:slammed]
      def slipped? = @seen[:slipped]

      # Of the agreed arc: what the set reached as a whole, the middle of its repetitions; nil of none.
      def reached = @others.map(&:range).sort[(@others.size - 1) / 2]&.clamp(0.05, 1.5)

      # Whether a repetition went as far as was agreed; the first to half, no further than that.
      def whole?(repetition) = other?(repetition) ? repetition.range >= @laid.whole_share : first_past.nil?

      # How the last repetition went, as it is proposed (:easy, :clean, :not_reached); nil where too few tell, where the
      # phone slipped, or where one went past what was agreed: then whoever watched says it.
      def last
        return if @others.empty? || slipped? || first_past || past
        return :not_reached unless whole?(@others.last)

        slower && (slower > HARD[:over] ? :clean : :easy)
      end

      # Seconds of a repetition up and down, whichever comes first.
      def up_s(repetition) = @laid.lowers_first ? repetition.down : repetition.up
      def down_s(repetition) = @laid.lowers_first ? repetition.up : repetition.down

      # [Remark], the most important first.
      def remarks
        @remarks ||= CODES.filter_map { |code| send(code)&.then { |params| Remark.new(code: code, params: params) } }
      end

      private

      def slipped = ({} if @seen[:slipped])
      def slammed = ({} if @seen[:slammed])

      # The first went on where it was to turn, by more than is read of it.
      def first_past
        first = repetitions.first
        return if @first_share >= 1 || first.nil? || first.top <= @first_share + @laid.past_share - 1

        { asked: (@first_share * 100).round, took: (first.top * 100).round }
      end

      # Which went past the agreed end, which may be as far as they are allowed.
      def past
        which = numbers { |one| one.top > @laid.past_share }
        { count: which.size, of: @others.size, first: which.first } if which.any?
      end

      # Which repetitions were short of what was agreed.
      def short
        which = numbers { |one| !whole?(one) }
        { count: which.size, of: @others.size, first: which.first } if which.any?
      end

      def not_back
        which = numbers { |one| one.low > BACK[:share] }
        { count: which.size, of: @others.size, first: which.first } if which.any?
      end

      def too_fast = off(:down_s, -1) || off(:up_s, -1)
      def too_slow = off(:down_s, 1) || off(:up_s, 1)

      # A hold that was asked for and not made.
      def no_hold
        held = mean(@others.map(&:hold))
        { asked: @tempo.hold_s, took: held } if held && @tempo.hold_s.positive? && held < @tempo.hold_s / 2.0
      end

      # The first degrees of "up" quicker than the rest of it, where they were to be slow.
      def rushed
        return if @tempo.slow_s.nil? || @laid.lowers_first

        first = mean(@others.filter_map(&:first_s)) or return
        { asked: @tempo.slow_s, took: first } if first < @tempo.slow_s / 2.0
      end

      def shrinks
        before, after = ends(&:range)
        by = before && (before - after)
        { by: by * 100 } if by && by > WORTH[:shrinks]
      end

      def slows = ({ times: slower } if slower && slower > HARD[:over])

      # How many times as long the last two took up as the first two.
      def slower
        return if @others.size < HARD[:repetitions]

        before, after = ends { |one| up_s(one) }
        after / before if before.positive?
      end

      # Means of the first two and of the last two.
      def ends(&)
        return if @others.size < HARD[:repetitions]

        [@others.first(2), @others.last(2)].map { |two| mean(two.map(&)) }
      end

      # Seconds of one way, where they are further from the tempo than is worth saying.
      def off(way, sign)
        took = mean(@others.map { |one| send(way, one) })
        asked = @tempo.public_send(way)
        return unless took && (took - asked) * sign > [WORTH[:off_s], WORTH[:off_share] * asked].max

        { way: way == :up_s ? 0 : 1, asked: asked, took: took }
      end

      # Of repetitions, counted from one.
      def numbers
        repetitions.each.with_index(1).filter_map { |one, number| number if other?(one) && yield(one) }
      end

      def other?(repetition) = @others.any? { |one| one.equal?(repetition) }
      def mean(numbers) = (numbers.sum / numbers.size.to_f if numbers.any?)
    end
  end
end
