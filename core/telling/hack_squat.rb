# frozen_string_literal: true

module Verglas
  module Telling
    # What a hack squat says besides: how far pads and shoulders sink.
    class HackSquat < Rail
      def asides
        if place[:sink_per_100_kg].positive?
          [
            Says.of(
              "sink.#{mechanics.loaded_room_mm(place).negative? ? "short" : "room"}",
              mm: mechanics.loaded_room_mm(place).abs.round,
              sink: place[:sink_per_100_kg].round
            )
          ]
        else
          []
        end
      end
    end
  end
end
