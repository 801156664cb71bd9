# frozen_string_literal: true

module Verglas
  module Motion
    # What a set that was read tells against what was agreed: how far each repetition went, its seconds, what changed
    # over the set, and what to say first.
    class Review
      WORTH, HARD, BACK = Tables[:motion].values_at(:remarks, :hard, :back)
      # What is worth saying, the first first.
      CODES = %i[slipped slammed past short not_back too_fast too_slow no_hold rushed shrinks slows].freeze
      # code: of CODES; params: {name => number} for the sentence.
      Remark = Value.define(:code, :params)

      # repetitions: [Repetition]; laid: Laid; planned: how many were to be done; tempo: Loading::Tempo.
      def initialize(repetitions, laid:, planned:, tempo:, slam: false, slipped: false)
        @repetitions = repetitions
        @laid = laid
        @planned = planned
        @tempo = tempo
        @seen = { slammed: slam, slipped: slipped }
      end

      attr_reader :repetitions, :planned

      def slam? = @seen[:slammed]
      def slipped? = @seen[:slipped]

      # Of the agreed arc: what the set reached as a whole, the middle of its repetitions; nil of none.
      def reached = sorted_ranges[(repetitions.size - 1) / 2]&.clamp(0.05, 1.5)

      # Whether a repetition went as far as was agreed.
      def whole?(repetition) = repetition.range >= @laid.whole_share

      # How the last repetition went, as it is proposed (:easy, :clean, :not_reached); nil where too few tell, where the
      # phone slipped, or where one went past what was agreed: then whoever watched says it.
      def last
        return if repetitions.empty? || slipped? || past
        return :not_reached unless whole?(repetitions.last)

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

      # Which went past the agreed end, which may be as far as they are allowed.
      def past
        which = numbers { |one| one.top > @laid.past_share }
        { count: which.size, of: repetitions.size, first: which.first } if which.any?
      end

      # Which repetitions were short of what was agreed.
      def short
        which = numbers { |one| !whole?(one) }
        { count: which.size, of: repetitions.size, first: which.first } if which.any?
      end

      def not_back
        which = numbers { |one| one.low > BACK[:share] }
        { count: which.size, of: repetitions.size, first: which.first } if which.any?
      end

      def too_fast = off(:down_s, -1) || off(:up_s, -1)
      def too_slow = off(:down_s, 1) || off(:up_s, 1)

      # A hold that was asked for and not made.
      def no_hold
        held = mean(repetitions.map(&:hold))
        { asked: @tempo.hold_s, took: held } if held && @tempo.hold_s.positive? && held < @tempo.hold_s / 2.0
      end

      # The first degrees of "up" quicker than the rest of it, where they were to be slow.
      def rushed
        return if @tempo.slow_s.nil? || @laid.lowers_first

        first = mean(repetitions.filter_map(&:first_s)) or return
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
        return if repetitions.size < HARD[:repetitions]

        before, after = ends { |one| up_s(one) }
        after / before if before.positive?
      end

      # Means of the first two and of the last two.
      def ends(&)
        return if repetitions.size < HARD[:repetitions]

        [repetitions.first(2), repetitions.last(2)].map { |two| mean(two.map(&)) }
      end

      # Seconds of one way, where they are further from the tempo than is worth saying.
      def off(way, sign)
        took = mean(repetitions.map { |one| send(way, one) })
        asked = @tempo.public_send(way)
        return unless took && (took - asked) * sign > [WORTH[:off_s], WORTH[:off_share] * asked].max

        { way: way == :up_s ? 0 : 1, asked: asked, took: took }
      end

      def numbers = repetitions.each_index.select { |index| yield(repetitions[index]) }.map(&:succ)
      def sorted_ranges = repetitions.map(&:range).sort
      def mean(numbers) = (numbers.sum / numbers.size.to_f if numbers.any?)
    end
  end
end
