# frozen_string_literal: true

module Verglas
  module Formats
    module Answers
      # What a document tells of a seated hip at its top.
      class SeatedHip < Headline
        def report = mechanics.quantities(place).except(:range_left_deg, :torque_ratio_middle)
      end
    end
  end
end
