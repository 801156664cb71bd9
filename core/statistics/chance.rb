# frozen_string_literal: true

require "zlib"

module Verglas
  module Statistics
    # Chance that is none: numbers that follow from a text, the same for the same text on every machine. For what is
    # made up and has to be made up the same again.
    class Chance
      def initialize(text)
        @random = Random.new(Zlib.crc32(text))
      end

      # In [0, 1); a whole number below another; of the standard normal (Box and Muller).
      def share = @random.rand
      def below(count) = @random.rand(count)
      def normal = Math.sqrt(-2 * Math.log(1 - share)) * Math.cos(2 * Math::PI * share)
    end
  end
end
