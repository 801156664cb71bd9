# frozen_string_literal: true

module Verglas
  module Body
    # From sex, body mass, tape readings and checked fittings to an estimate and one report a reading. Always from the
    # whole list: prior, then the readings in the order they were taken, then the fittings. docs/model.md section 1.
    class Estimation
      # What became of one reading. expected and sigma are of the body before it; refused ones were left out, marked
      # ones were confirmed although they look like a slip.
      Report = Value.define(:reading, :expected_mm, :innovation_mm, :sigma_mm, :refused, :marked)

      # estimate: of the parameters as they were at thirty; met: as machines meet the body now.
      attr_reader :estimate, :met, :build, :mass_index, :reports, :learned

      # checked: CheckedFittings, at most one a machine, the oldest first. A machine that learns from bodies leaves its
      # own out, lest the same knowledge count twice.
      def initialize(sex:, body_mass_kg: nil, age_years: nil, readings: [], checked: [])
        sources = checked.map(&:machine)
        raise Invalid.new(:checked_twice, path: "/checked") unless sources.uniq.size == sources.size

        @build = Build.new(sex: sex, body_mass_kg: body_mass_kg, age_years: age_years)
        @mass_index = build.mass_index(readings)
        @estimate = Prior.estimate(sex: sex, mass_index: mass_index)
        @reports = readings.map { |reading| take(reading) }.freeze
        @learned = checked.map { |fitting| learn(fitting) }.freeze
        @met = @estimate.aged(build)
        freeze
      end

      # Names of the readings that such a body asks for whatever else was taken: a heavy one, a very short or a very
      # tall one.
      def asked_for
        figures = Tables[:body][:build]
        unusual = Tables[:body][:unusual_stature]
        tall = estimate.mean[:stature]
        [
          *(figures[:ask_for] if mass_index && mass_index > figures[:ask_above]),
          *(unusual[:ask_for] unless tall.between?(unusual[:below_mm], unusual[:above_mm]))
        ].map(&:to_sym)
      end

      private

      def take(reading)
        observation = Observation.fetch(reading.observation)
        expected, sigma = estimate.expected(observation, build)
        slip = slip?(observation, reading.value_mm, expected, sigma)
        refused = slip && (observation.limits_mm || !reading.confirmed) ? true : false
        @estimate = estimate.reading(observation, reading.value_mm, build) unless refused
        Report.new(
          reading: reading,
          expected_mm: expected,
          innovation_mm: reading.value_mm - expected,
          sigma_mm: sigma,
          refused: refused,
          marked: slip && !refused
        )
      end

      # Answers the observations that were made of it.
      def learn(fitting)
        rows = fitting.observations(@estimate.dimensions)
        @estimate =
          rows.inject(@estimate) do |known, row|
            Estimate.new(known.normal.observe(row: row.row, value: row.value_mm, sd: row.sd_mm))
          end
        rows
      end

      def slip?(observation, value, expected, sigma)
        return !build.plausible?(value) if observation.limits_mm

        (value - expected).abs > Tables[:body][:slip_sds] * sigma
      end
    end
  end
end
