# frozen_string_literal: true

module Verglas
  module Formats
    module Answers
      # What a document tells of a hack squat at its top.
      class HackSquat < Rail
        def report
          short = mechanics.shortfall_mm(place)
          latch = mechanics.findings(:joint, place).find { |finding| finding.code == :latch_room }
          {
            **super,
            reach_mm: mechanics.reach_mm(place),
            shortfall_mm: short,
            block_mm: (wishes[:block_mm] unless mechanics.latch_room_mm(place).negative?),
            severities: [*severities, *(latch.band if short.positive?)]
          }
        end
      end
    end
  end
end
