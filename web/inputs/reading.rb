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
          Body::Reading.new(observation: observation.to_sym, value_mm: (input[:value] * MM_PER.fetch(input[:unit])).round(1),
                            confirmed: input.fetch(:confirmed, false))
        end

        # Judged by everything else that is known of the client. Raises Invalid with what was expected.
        def check_slip!(client, rows, reading)
          others = rows.reject { |row| row[:observation] == reading.observation.to_s }
          report = ClientBody.estimation(client, others, and_then: [reading]).reports.last
          return unless report.refused
          raise Invalid.new(:stature_out_of_range, path: "/value") if reading.observation == :stature

          raise slip(report, others)
        end

        def slip(report, others)
          half = Statistics::Gaussian::INTERVAL * report.sigma_mm
          Invalid.new(:slip, path: "/value", observation: report.reading.observation, expected_mm: report.expected_mm.round(1),
                             low_mm: (report.expected_mm - half).round(1), high_mm: (report.expected_mm + half).round(1),
                             difference: "#{report.innovation_mm.abs.round} mm", direction: report.innovation_mm.positive? ? "more" : "less",
                             what: others.any? { |row| row[:observation] == "stature" } ? "this height" : "this body")
        end
        private_class_method :slip
      end
    end
  end
end
