# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What an estimate of a body rests on.
      module Estimate
        module_function

        # One reading and what became of it.
        def report(report)
          reading = report.reading
          {
            observation: reading.observation,
            title: Formats::Words.say("observations.#{reading.observation}.title"),
            value_mm: reading.value_mm,
            expected_mm: report.expected_mm.round(1),
            state: state(report)
          }
        end

        def state(report)
          return "left_out" if report.refused

          report.marked ? "confirmed" : "used"
        end

        # The machines whose checked fittings the body learned from. rows: as Store::Queries::CheckedFittings gives
        # them.
        def learned(rows)
          rows
            .zip(rows.map { |row| CheckedFittings.of([row]) })
            .reject { |_, taught| taught.empty? }
            .map do |row, _|
              {
                machine: Names.machine(row[:name], row[:exercise]),
                fitting_id: row[:fitting_id],
                accepted_at: Told.time(row[:accepted_at])
              }
            end
        end
      end
    end
  end
end
