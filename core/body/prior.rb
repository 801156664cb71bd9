# frozen_string_literal: true

module Verglas
  module Body
    # What is believed of a body before any tape: stature by sex, everything else a share of it with an independent
    # residual, and one skeleton tying the segments. docs/model.md section 1.
    class Prior
      SEXES = %w[man woman].freeze

      def initialize(sex:)
        raise Invalid.new(:unknown_sex, path: "/sex", value: sex) unless sex.nil? || SEXES.include?(sex)

        @sex = (sex || :not_given).to_sym
      end

      def mean_stature_mm = stature[:mean]

      # One a sex and build, made once: estimates are frozen.
      def self.estimate(sex:, heavy: false)
        @estimates ||= {}
        @estimates[[sex, heavy]] ||= new(sex: sex).estimate(heavy: heavy)
      end

      # heavy: doubles the residual SDs of the soft parameters.
      def estimate(heavy: false)
        loose = Statistics::Normal.new(mean: shares.map { |share| share * mean_stature_mm }, covariance: covariance(heavy))
        skeleton = Tables[:body][:skeleton]
        tied = loose.observe(row: Body.row(skeleton[:row]), value: 0, sd: skeleton[:sd_share] * mean_stature_mm)
        Estimate.new(tied)
      end

      private

      def stature = Tables[:body][:prior_stature_mm][@sex]

      def shares
        Tables[:body][:parameters].map { |row| row[:share].is_a?(Hash) ? row[:share][@sex] : row[:share] }
      end

      def covariance(heavy)
        residuals = Tables[:body][:parameters].map { |row| residual_sd(row, heavy) }
        shares.each_with_index.map do |one, i|
          shares.each_with_index.map do |other, j|
            ((stature[:sd]**2) * one * other) + (i == j ? residuals[i]**2 : 0)
          end
        end
      end

      def residual_sd(row, heavy)
        row[:residual_sd_share] * mean_stature_mm * (heavy && row[:soft] ? Tables[:body][:heavy][:factor] : 1)
      end
    end
  end
end
