# frozen_string_literal: true

module Verglas
  module Body
    # Which reading not yet taken would narrow the required positions most. No value is needed: the update of the
    # covariance does not depend on what is read. docs/model.md section 1.
    module NextReading
      # The summed variance of the positions (mm^2) before and after one observation.
      Offer =
        Value.define(:observation, :variance_before_mm2, :variance_after_mm2) do
          def drop_mm2 = variance_before_mm2 - variance_after_mm2

          # The share of what is unsure that it would take away, 0..1; worth the client's time from a tenth on (w).
          def share = variance_before_mm2.positive? ? drop_mm2 / variance_before_mm2 : 0.0
          def worth_taking? = share > 0.1
        end

      # gradients: one array of slopes by parameter (mm per mm) for each required position. Best offer first.
      def self.rank(estimate:, gradients:, taken:)
        normal = estimate.normal
        before = gradients.sum { |gradient| normal.variance(gradient) }
        untaken = Observation::ALL.values.reject { |observation| taken.include?(observation.name) }
        untaken
          .map { |observation| offer(normal, observation, gradients, before) }
          .sort_by
          .with_index { |offer, index| [-offer.drop_mm2, index] }
      end

      def self.offer(normal, observation, gradients, before)
        innovation_variance = normal.innovation_sd(row: observation.row, sd: observation.sd_mm)**2
        drop = gradients.sum { |gradient| (normal.covariance_of(gradient, observation.row)**2) / innovation_variance }
        Offer.new(observation: observation.name, variance_before_mm2: before, variance_after_mm2: before - drop)
      end
      private_class_method :offer
    end
  end
end
