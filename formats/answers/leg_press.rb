# frozen_string_literal: true

module Verglas
  module Formats
    module Answers
      # What a document tells of a leg press at its top.
      class LegPress < Rail
        def report
          latch = mechanics.findings(:joint, place).find { |finding| finding.code == :latch_room }
          reached = latch.nil? || latch.severity.zero?
          { **super, reach_ok: reached, severities: reached ? severities : [severities.first, latch.band] }
        end
      end
    end
  end
end
