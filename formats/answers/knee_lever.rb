# frozen_string_literal: true

module Verglas
  module Formats
    module Answers
      # What a document tells of a knee lever at its top.
      class KneeLever < Headline
        def report = mechanics.quantities(place).slice(:low_mm, :high_mm, :slack_mm, :clears_mm)
      end
    end
  end
end
