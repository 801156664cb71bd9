# frozen_string_literal: true

module Verglas
  module Guidance
    # Who is ready for what, where body weight is the load: the rungs that a machine has, easiest first, and what the
    # client has shown on it or on others of its kind. A rung opens once the one below was clean on enough visits; one
    # that was not clean sends one back; and a beginner's rung is not kept for ever. docs/model.md sections 6 and 14.
    class Readiness
      FIGURES = Tables[:hinge][:ready]
      # Two efforts are told apart from here, as a share.
      SAME = 0.02

      # A visit on such a machine: what it asked (N m), whether it was clean.
      Visit = Value.define(:top_nm, :clean)

      attr_reader :rungs

      # rungs: of a mechanism, easiest first; visits: latest first; none_harder: whether the first is all that is
      # allowed.
      def initialize(rungs, visits, none_harder: false)
        @rungs = none_harder ? rungs.take(1) : rungs
        @visits = visits
        @none_harder = none_harder
      end

      # Where to begin today, and what comes after; nil where nothing does.
      def today = @today ||= @rungs[at]
      def onward = @rungs[at + 1]

      # Why: :cautioned, :nothing_shown, :not_clean, :easier_shown (clean, and on easier ones alone), :once_more,
      # :opened, :stays (all there is).
      def reason
        return :cautioned if @none_harder
        return :nothing_shown if @visits.empty?
        return :not_clean unless @visits.first.clean
        return :easier_shown if highest.negative?
        return :once_more if clean_visits(highest) < FIGURES[:clean_visits] && @rungs[highest + 1]

        at > highest ? :opened : :stays
      end

      # Clean visits on the highest rung that was.
      def clean = highest.negative? ? 0 : clean_visits(highest)

      # Whether the client has been clean for long where more would be possible.
      def kept_long? = !@none_harder && reason == :opened && clean >= FIGURES[:kept_long_visits]

      private

      def at
        @at ||=
          if @rungs.empty? || @none_harder || @visits.empty?
            0
          elsif !@visits.first.clean
            [below(@visits.first.top_nm), 0].max
          else
            opened
          end
      end

      # The highest rung that was clean, or the one above once it was so often enough.
      def opened
        (highest >= 0 && clean_visits(highest) >= FIGURES[:clean_visits] ? highest + 1 : highest).clamp(
          0,
          @rungs.size - 1
        )
      end

      def highest
        @highest ||=
          @rungs.rindex { |rung| @visits.any? { |visit| visit.clean && visit.top_nm >= rung.top_nm * (1 - SAME) } } ||
            -1
      end
      def clean_visits(index)
        @visits.count { |visit| visit.clean && visit.top_nm >= @rungs[index].top_nm * (1 - SAME) }
      end

      # The rung under one that was not clean.
      def below(top_nm) = @rungs.rindex { |rung| rung.top_nm < top_nm * (1 - SAME) } || 0
    end
  end
end
