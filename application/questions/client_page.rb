# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # Everything that is known of a client: who, the body, the tape, cautions, the card, the history, and which
      # reading is worth taking next.
      #   ranking    Body::NextReading, the best first
      #   own_rules  rows; asking: Asking
      #   card       CardLines::Line, one a machine and exercise; history, discarded: rows
      #   machines   [row, {exercise => Bars}], those in service
      ClientPage =
        Value.define(
          :row,
          :readings,
          :estimation,
          :checked,
          :ranking,
          :own_rules,
          :cautions,
          :asking,
          :card,
          :history,
          :discarded,
          :machines
        ) { def self.of(gym, row) = new(**ClientReading.new(gym, row).to_h) }
    end
  end
end
