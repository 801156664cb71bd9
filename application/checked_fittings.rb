# frozen_string_literal: true

module Verglas
  module Application
    # Accepted fittings that somebody checked by eye, from their rows, as observations of the body.
    module CheckedFittings
      module_function

      # rows: as Store::Queries::CheckedFittings answers them. Only what teaches something. What was accepted stays as
      # it is.
      def of(rows)
        Kept.shared.of(:checked, rows.map { |row| row[:fitting_id] }) { rows.filter_map { |row| one(row) } }
      end

      # nil where it teaches nothing.
      def one(row)
        return if Guidance::Signs.never(row[:signs].map(&:to_sym)).any? # what was seen outranks the numbers

        machine = Described.value(row, exercise: row[:exercise][/.+/])
        wanted = { contact_above_ankle_mm: row[:contact_above_ankle_mm] }.compact.slice(*machine.family.wishes.keys)
        wishes = Mechanisms::Wishes.for(machine.family, **wanted, **Aids.wishes(machine.family, row[:aids]))
        # Only the marks are read, so any body serves.
        evaluation =
          Fitting::Evaluation.new(
            machine: machine,
            estimate: Body::Prior.estimate(sex: nil),
            wishes: wishes,
            indices: machine.indices(row[:marks].to_h)
          )
        Fitting::Checked.of(
          evaluation,
          machine: row[:id],
          knee_off_mm: row[:knee_off_mm]&.to_f,
          roller_seen: row[:roller_seen]
        )
      end
    end
  end
end
