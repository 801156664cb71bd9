# frozen_string_literal: true

require "date"

module Verglas
  module Application
    # What people lifted, from their rows, as strength is learned of it (Loading::Strength).
    module StrengthLog
      MONDAY = Date.new(2000, 1, 3)
      USUAL = Tables[:loads][:usual]
      WHOLE = Tables[:loads][:log][:whole_range][:from_share]

      module_function

      # Of a family's action; nil where strength knows none. What is done on another machine's plate is another movement
      # than what the action's own machines ask: what is lifted there says nothing of them, nor they of it.
      def action(family)
        family.action if Loading::Strength::ACTIONS.include?(family.action) && !family.tags[:on_an_edge]
      end

      def week(day) = (day - MONDAY).to_i / 7

      # readings: rows of the tape.
      def person(client, readings)
        Loading::Strength::Person.new(
          sex: client[:sex]&.to_sym,
          mass_kg: client[:body_mass_kg]&.to_f,
          age_years: ClientBody.age_years(client[:birth_date]),
          stature_mm: readings.find { |row| row[:observation] == "stature" }&.fetch(:value_mm)&.to_f
        )
      end

      # rows: of Store::Queries::LiftedSets. [Loading::Lifted], as they were lifted.
      def sets(rows) = rows.filter_map { |row| lifted(row) }

      # What a kilogram that is loaded asks of the legs: less on a rail or behind a lever. loading: a machine's column.
      def push(loading)
        incline = loading["incline_deg"]
        incline ? Math.sin(Geometry::Angle.radians(incline)) : loading["ratio"] || 1.0
      end

      def lifted(row)
        family = Machines::Families.fetch(row[:family]).all_exercises[row[:exercise][/.+/]]
        done = family && action(family) or return

        Loading::Lifted.new(
          week: week(row[:at].to_date),
          machine: row.values_at(:machine_id, :exercise).join("/"),
          action: done,
          load_kg: row[:load_kg].to_f * push(row[:loading].to_h),
          repetitions: row[:repetitions] || USUAL[:repetitions],
          last: short?(row) ? :not_reached : row[:last].to_sym
        )
      end

      def short?(row) = row[:reached] && row[:reached] < WHOLE
      private_class_method :lifted, :short?
    end
  end
end
