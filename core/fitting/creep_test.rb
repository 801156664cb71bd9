# frozen_string_literal: true

require "matrix"

module Verglas
  module Fitting
    # Where the knee lies from the pivot, found from where the roller's edge lies on the shin at two to four arm angles.
    # Unknown are the pivot error (e_s, e_n) and the zero of the scale on the shin; reading = zero + q(angle), SD 4 mm.
    # Prior: the pivot error from the model, the zero ~ N(0, 200^2). Gauss-Newton with numeric slopes, started at the
    # prior and the zero that fits it on the mean. docs/model.md section 8.
    class CreepTest
      READING_SD_MM = 4.0
      ZERO_SD_MM = 200.0
      SLOPE_STEP_MM = 0.01
      CLOSE_ENOUGH_MM = 1e-4
      MOST_STEPS = 20

      # knee: Point relative to the pivot; sds: [along, across] in mm, with their covariance; zero_mm: of the scale.
      Answer = Value.define(:knee, :sds_mm, :covariance_mm2, :zero_mm)

      # The test on a machine at some marks: the prior from the evaluation there.
      def self.at(evaluation)
        new(
          prior_knee: evaluation.place.joint,
          prior_covariance: evaluation.covariance_of(:offset),
          **evaluation.mechanics.creep_geometry(evaluation.place)
        )
      end

      # Whether it can be read there: where the knee is and the arm are told.
      def self.possible?(machine) = machine.family.tags[:turns_on_pivot] && (%i[joint arm] - machine.family.told).empty?

      # prior_knee: Point; prior_covariance: [[ss, sn], [ns, nn]], mm^2; side: +1 roller in front of the leg, -1 behind.
      def initialize(prior_knee:, prior_covariance:, reach_mm:, clearance_mm:, side:)
        @prior = prior_knee
        @covariance = prior_covariance
        @geometry = { reach_mm: reach_mm, clearance_mm: clearance_mm, side: side }
      end

      # readings: [[arm_deg, reading_mm], ...], two at the least.
      def answer(readings)
        raise Invalid.new(:too_few_readings, path: "/readings", least: 2) if readings.size < 2

        guess = start(readings)
        MOST_STEPS.times do
          step = step_from(guess, readings)
          guess += step
          break if step.norm < CLOSE_ENOUGH_MM
        end
        spread = precision(guess, readings).inverse
        Answer.new(
          knee: Geometry::Point.new(guess[0], guess[1]),
          sds_mm: [Math.sqrt(spread[0, 0]), Math.sqrt(spread[1, 1])],
          covariance_mm2: spread[0, 1],
          zero_mm: guess[2]
        )
      end

      private

      def start(readings)
        zeros = readings.map { |arm_deg, reading| reading - contact(@prior.s, @prior.n, arm_deg) }
        Vector[@prior.s, @prior.n, zeros.sum / zeros.size]
      end

      def prior_mean = Vector[@prior.s, @prior.n, 0.0]

      def prior_precision
        @prior_precision ||=
          begin
            plane = Matrix[*@covariance].inverse
            Matrix[[plane[0, 0], plane[0, 1], 0.0], [plane[1, 0], plane[1, 1], 0.0], [0.0, 0.0, 1 / (ZERO_SD_MM**2)]]
          end
      end

      def step_from(guess, readings)
        slopes = slopes(guess, readings)
        misses = Vector[*readings.map { |arm_deg, reading| reading - predicted(guess, arm_deg) }]
        pull = (slopes.transpose * misses / (READING_SD_MM**2)) + (prior_precision * (prior_mean - guess))
        precision(guess, readings).inverse * pull
      end

      def precision(guess, readings)
        slopes = slopes(guess, readings)
        prior_precision + (slopes.transpose * slopes / (READING_SD_MM**2))
      end

      def slopes(guess, readings)
        rows =
          readings.map do |arm_deg, _|
            Array.new(3) do |index|
              step = Vector.basis(size: 3, index: index) * SLOPE_STEP_MM
              (predicted(guess + step, arm_deg) - predicted(guess - step, arm_deg)) / (2 * SLOPE_STEP_MM)
            end
          end
        Matrix[*rows]
      end

      def predicted(guess, arm_deg) = guess[2] + contact(guess[0], guess[1], arm_deg)
      def contact(s, n, arm_deg)
        Linkages::RollerContact.at(knee: Geometry::Point.new(s, n), arm_deg: arm_deg, **@geometry).contact_mm
      end
    end
  end
end
