# frozen_string_literal: true

module Verglas
  module Formats
    module Answers
      # What a document tells of a glute ham at its top.
      class GluteHam < Headline
        def report
          {
            knee_over_pad_mm: mechanics.knee_over_pad_mm(place),
            knee: Linkages::HingeEffort.knee_place(mechanics.knee_over_pad_mm(place))
          }
        end

        def decides_alone = :knee_place
      end
    end
  end
end
