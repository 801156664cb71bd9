# frozen_string_literal: true

module Verglas
  module Web
    module Inputs
      # A tape reading as typed, in cm or inches, to millimetres.
      module Reading
        MM_PER = { "cm" => 10.0, "in" => 25.4 }.freeze

        module_function

        def of(input, observation)
          Body::Observation.fetch(observation)
          value_mm = (input[:value] * MM_PER.fetch(input[:unit])).round(1)
          refuse_outside(
            Body::Reading.range_mm(observation),
            value_mm,
            input[:unit],
            observation == "stature" ? :stature_out_of_range : :length_out_of_range
          )
          Body::Reading.new(
            observation: observation.to_sym,
            value_mm: value_mm,
            confirmed: input.fetch(:confirmed, false)
          )
        end

        # What no tape can have read, with the limits in the unit that was typed.
        def refuse_outside(range_mm, value_mm, unit, code)
          return if range_mm.cover?(value_mm)
          raise Invalid.new(code, path: "/value", low: said(range_mm.min, unit), high: said(range_mm.max, unit))
        end

        # A length as somebody with that unit reads it.
        def said(length_mm, unit) = "#{format("%.3g", (length_mm / MM_PER.fetch(unit)).round(1))} #{unit}"

        # Judged by everything else that is known of the client. Raises Invalid with what was expected.
        def check_slip!(client, rows, reading, unit)
          others = rows.reject { |row| row[:observation] == reading.observation.to_s }
          report = Application::ClientBody.estimation(client, others, and_then: [reading]).reports.last
          return unless report.refused

          raise slip(report, others, unit)
        end

        def slip(report, others, unit)
          half = Statistics::Gaussian::INTERVAL * report.sigma_mm
          Invalid.new(
            :slip,
            path: "/value",
            observation: report.reading.observation,
            expected_mm: report.expected_mm.round(1),
            low_mm: (report.expected_mm - half).round(1),
            high_mm: (report.expected_mm + half).round(1),
            difference: said(report.innovation_mm.abs, unit),
            direction: report.innovation_mm.positive? ? "more" : "less",
            what: others.any? { |row| row[:observation] == "stature" } ? "this height" : "this body"
          )
        end
        private_class_method :refuse_outside, :said, :slip
      end
    end
  end
end
