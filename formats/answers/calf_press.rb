# frozen_string_literal: true

module Verglas
  module Formats
    module Answers
      # What a document tells of calf work on a press at its top.
      class CalfPress < Headline
        def report
          {
            **mechanics.quantities(place).slice(:heel_drop_deg, :knee_bend_deg, :slack_mm),
            x_bottom_mm: mechanics.whole_bottom(place).x_mm
          }
        end
      end
    end
  end
end
