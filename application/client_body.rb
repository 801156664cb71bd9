# frozen_string_literal: true

require "date"

module Verglas
  module Application
    # A client's rows to the core's estimation.
    module ClientBody
      module_function

      # and_then: further readings, after those of the rows; checked: Body::CheckedFittings.
      def estimation(client, rows, and_then: [], checked: [])
        basis = {
          sex: client[:sex],
          body_mass_kg: client[:body_mass_kg]&.to_f,
          age_years: age_years(client[:birth_date]),
          readings: rows.map { |row| reading(row) } + and_then,
          checked: checked
        }
        Kept.shared.of(:bodies, basis) { Body::Estimation.new(**basis) }
      end

      # In whole years; nil where the day of birth is not known.
      def age_years(born, today = Date.today)
        born && (today.year - born.year - (today < (born >> (12 * (today.year - born.year))) ? 1 : 0))
      end

      def reading(row)
        Body::Reading.new(
          observation: row[:observation].to_sym,
          value_mm: row[:value_mm].to_f,
          confirmed: row[:confirmed]
        )
      end
    end
  end
end
