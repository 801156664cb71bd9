# frozen_string_literal: true

module Verglas
  module Telling
    # What one mechanism says, as Says. A subclass words its own findings (`says`) and whatever else is told of it; what
    # it leaves out is not told.
    #   tell(finding)     a Finding; of every mechanism in the same words where the finding is everybody's
    #   by_hand(code)     the same of what is left to the hand
    #   short(decision)   what an adjuster's step would show, in a few words; nil where nothing is told
    #   starts, ends      what a client is told to keep to: where the movement starts, where the client's own range says
    #                     so, and where it ends; one, several or nil
    #   step_numbers      numbers that the steps in words may use; step_words(decision): whose words a step has
    #   warnings          what is said before anybody gets on
    #   asides            what else is said of the machine
    #   motion            what the movement does, {part => Says}; nil where nothing is told of it
    #   sides             what lies behind and before a pivot is called; travel_words: what the two ends of a movement
    #                     are
    class Voice
      # mechanics: a Mechanism; place: its Place, nil where the machine alone is spoken of.
      def initialize(mechanics, place)
        @mechanics = mechanics
        @place = place
      end

      def tell(finding)
        return says(finding) unless finding.code == :range_left

        Says.of(
          "says.range_left.#{finding.fault || (finding.severity.zero? ? :right : :little)}",
          deg: [finding.value, 0.0].max.round
        )
      end

      def by_hand(code) = Says.of("says.#{code}.by_hand")
      def short(_decision) = nil
      def starts = nil
      def ends = nil
      def step_numbers = {}
      def step_words(decision) = decision
      def warnings = []
      def asides = []
      def motion = nil
      def sides = []
      def travel_words = %i[bottom top]

      private

      attr_reader :mechanics, :place

      def says(_finding) = raise(NotImplementedError)
      def body = mechanics.body
      def wishes = mechanics.wishes
      def family = mechanics.family

      # Whole degrees as they are told: never more than an upper limit allows, never less than a lower one asks.
      def at_most(deg) = Mechanisms.at_most(deg)
      def at_least(deg) = Mechanisms.at_least(deg)
    end
  end
end
