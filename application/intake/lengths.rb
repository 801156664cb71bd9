# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # What was taped of a machine, as one list: "name", or "exercise/name" for what a station's exercise has for
      # itself.
      module Lengths
        module_function

        # row: of store's machines, with its description. Answers {name => value} of what is known.
        def of(row)
          own =
            row[:exercises].to_h.flat_map do |exercise, part|
              part.fetch("constants", {}).map { |name, value| ["#{exercise}/#{name}", value] }
            end
          { **row[:constants].to_h, **own.to_h }.compact.transform_values(&:to_f)
        end
      end
    end
  end
end
