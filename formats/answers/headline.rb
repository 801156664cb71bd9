# frozen_string_literal: true

module Verglas
  module Formats
    module Answers
      # What a document of an evaluation tells at its top, mechanism by mechanism, with the core's names and units in
      # them.
      #   report          {name => number, text or the like}; none where nothing is told
      #   decides_alone   the decision whose mark is told beside it; nil: of the only adjuster
      #   posed           a leg with the knee bent so far and so much loaded, where there is one
      class Headline
        # mechanics: a Mechanism; place: its Place.
        def initialize(mechanics, place)
          @mechanics = mechanics
          @place = place
        end

        def report = {}
        def decides_alone = nil

        private

        attr_reader :mechanics, :place

        def body = mechanics.body
        def wishes = mechanics.wishes
        def family = mechanics.family
      end
    end
  end
end
