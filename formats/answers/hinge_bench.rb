# frozen_string_literal: true

module Verglas
  module Formats
    module Answers
      # What a document tells of a hinge bench at its top.
      class HingeBench < Headline
        def report
          gap = mechanics.findings(:joint, place).find { |finding| finding.code == :hip_gap }
          { hip_crease_mm: mechanics.crease_mm(place), gap_mm: mechanics.gap_mm(place), band: gap.band }
        end

        def decides_alone = :hip_pad
      end
    end
  end
end
