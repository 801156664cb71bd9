# frozen_string_literal: true

module Verglas
  module Guidance
    # What may become harder, in this order, one rung at a time: range, control, load, a harder version. Told, never
    # forced: the load of a day follows how its sets went. docs/model.md section 14.
    class Ladder
      RUNGS = %i[range control load harder].freeze
      CLEAN_VISITS = Tables[:loads][:log][:clean_visits][:count]
      RANGE_SHARES = Tables[:loads][:log][:newcomers_range]

      # Climbs a rung after so many visits with every set clean, goes down one after a visit that sends back; a set that
      # was not reached, or of which nobody said how it went, only begins the count anew.
      #   visits: oldest first, each answers clean? and sends_back? (Loading::Visit)
      #   most: the highest rung that is told; where a caution acts on the machine nothing past the load
      def self.of(visits, most: RUNGS.last)
        visits.inject(new(0, 0, nil, RUNGS.index(most))) { |ladder, visit| ladder.after(visit) }
      end

      # clean: visits in a row that count towards the next; moved: whether the last visit went :up or :back, nil where
      # it did neither.
      attr_reader :clean, :moved

      def initialize(index, clean, moved, top)
        @top = top
        @index = index
        @clean = clean
        @moved = moved
        freeze
      end

      def told = RUNGS.take(@top + 1)
      def rung = RUNGS[@index]
      def onward = (RUNGS[@index + 1] if @index < @top)

      # Whether there would be something further, and it is not told.
      def held_back? = onward.nil? && @index < RUNGS.size - 1
      def back = (RUNGS[@index - 1] if @index.positive?)

      # Clean visits that are still missing; nil on the highest rung.
      def missing = (CLEAN_VISITS - @clean if onward)

      # Of the range, on this rung, where the house begins with less (0 to 1); and how many clean visits are missing for
      # all of it.
      def range_share = RANGE_SHARES.fetch(rung, 1.0)
      def missing_for_whole = [RANGE_SHARES.size - @index, 0].max.then { |rungs| (rungs * CLEAN_VISITS) - @clean }

      def after(visit)
        return standing([@index - 1, 0].max, 0, :back) if visit.sends_back?
        return standing(@index, 0, nil) unless visit.clean?
        return standing(@index, @clean + 1, nil) unless onward && @clean + 1 >= CLEAN_VISITS

        standing(@index + 1, 0, :up)
      end

      private

      def standing(index, clean, moved) = self.class.new(index, clean, moved, @top)
    end
  end
end
