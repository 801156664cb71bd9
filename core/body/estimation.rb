# frozen_string_literal: true

module Verglas
  module Body
    # From sex, body mass, tape readings and checked fittings to an estimate and one report a reading. Always from the whole
    # list: prior, then the readings in the order they were taken, then the fittings. docs/model.md section 1.
    class Estimation
      # What became of one reading. expected and sigma are of the body before it; refused ones were left out, marked ones
      # were confirmed although they look like a slip.
      Report = Value.define(:reading, :expected_mm, :innovation_mm, :sigma_mm, :refused, :marked)

      attr_reader :estimate, :reports, :learned

      # checked: CheckedFittings, at most one a machine, the oldest first. A machine that learns from bodies leaves its own
      # out, lest the same knowledge count twice.
      def initialize(sex:, body_mass_kg: nil, readings: [], checked: [])
        check_mass(body_mass_kg)
        sources = checked.map(&:machine)
        raise Invalid.new(:checked_twice, path: "/checked") unless sources.uniq.size == sources.size

        @estimate = Prior.estimate(sex: sex, heavy: self.class.heavy?(sex, body_mass_kg, readings))
        @reports = readings.map { |reading| take(reading) }.freeze
        @learned = checked.map { |fitting| learn(fitting) }.freeze
        freeze
      end

      # Body mass over stature squared (the stature read, or the prior's mean) above the limit of the table.
      def self.heavy?(sex, body_mass_kg, readings)
        return false unless body_mass_kg

        read = readings.reverse.find { |reading| reading.observation == :stature && plausible_stature?(reading) }
        stature_m = (read ? read.value_mm : Prior.new(sex: sex).mean_stature_mm) / 1000.0
        body_mass_kg / (stature_m**2) > Tables[:body][:heavy][:above_kg_per_m2]
      end

      def self.plausible_stature?(reading) = Observation.fetch(:stature).limits_mm.cover?(reading.value_mm)

      private

      def check_mass(mass)
        return if mass.nil? || (mass.is_a?(Numeric) && mass.finite? && mass.positive?)

        raise Invalid.new(:body_mass_not_positive, path: "/body_mass", value: mass)
      end

      def take(reading)
        observation = Observation.fetch(reading.observation)
        expected, sigma = @estimate.expected(observation)
        slip = slip?(observation, reading.value_mm, expected, sigma)
        refused = slip && (observation.limits_mm || !reading.confirmed) ? true : false
        @estimate = Estimate.new(@estimate.normal.observe(row: observation.row, value: reading.value_mm, sd: observation.sd_mm)) unless refused
        Report.new(reading: reading, expected_mm: expected, innovation_mm: reading.value_mm - expected, sigma_mm: sigma,
                   refused: refused, marked: slip && !refused)
      end

      # Answers the observations that were made of it.
      def learn(fitting)
        rows = fitting.observations(@estimate.dimensions)
        @estimate = rows.inject(@estimate) { |known, row| Estimate.new(known.normal.observe(row: row.row, value: row.value_mm, sd: row.sd_mm)) }
        rows
      end

      def slip?(observation, value, expected, sigma)
        return !observation.limits_mm.cover?(value) if observation.limits_mm

        (value - expected).abs > Tables[:body][:slip_sds] * sigma
      end
    end
  end
end
