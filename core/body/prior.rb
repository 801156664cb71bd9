# frozen_string_literal: true

module Verglas
  module Body
    # What is believed of a body before any tape: stature by sex, everything else a share of it with a residual of its
    # own, legs and trunk with a part in common, and one skeleton tying the segments; depths follow body mass.
    # docs/model.md section 1.
    class Prior
      SEXES = %w[man woman].freeze
      FIGURES = Tables[:body][:build]

      def self.check_sex(sex)
        sex.nil? || SEXES.include?(sex) || raise(Invalid.new(:unknown_sex, path: "/sex", value: sex))
      end

      def initialize(sex:)
        self.class.check_sex(sex)
        @sex = (sex || :not_given).to_sym
      end

      def mean_stature_mm = stature[:mean]

      # mass_index: body mass over stature squared (kg/m^2), nil where it is not known. The spread is made once a sex
      # and build.
      def self.estimate(sex:, mass_index: nil)
        heavy = !mass_index.nil? && mass_index > FIGURES[:heavy]
        prior = new(sex: sex)
        spread = (@spreads ||= {})[[sex, heavy]] ||= prior.spread(heavy: heavy)
        mass_index ? Estimate.new(spread.shifted(prior.by_mass(mass_index))) : Estimate.new(spread)
      end

      # Statistics::Normal of somebody of usual build. heavy: multiplies the residual SDs of the soft parameters.
      def spread(heavy: false)
        loose =
          Statistics::Normal.new(mean: shares.map { |share| share * mean_stature_mm }, covariance: covariance(heavy))
        skeleton = Tables[:body][:skeleton]
        loose.observe(row: Body.row(skeleton[:row]), value: 0, sd: skeleton[:sd_share] * mean_stature_mm)
      end

      # What a body of such a mass has more or less than one of usual build (mm), one a parameter.
      def by_mass(mass_index)
        over = mass_index.clamp(FIGURES[:least], FIGURES[:most]) - FIGURES[:usual]
        rows.map { |row| row[:by_mass] * mean_stature_mm * over }
      end

      private

      def rows = Tables[:body][:parameters]
      def stature = Tables[:body][:prior_stature_mm][@sex]
      def shares = rows.map { |row| row[:share].is_a?(Hash) ? row[:share][@sex] : row[:share] }
      def together = rows.map { |row| row[:together] * mean_stature_mm }

      def covariance(heavy)
        residuals = rows.map { |row| residual_sd(row, heavy) }
        shares
          .zip(together)
          .each_with_index
          .map do |(one, mine), i|
            shares
              .zip(together)
              .each_with_index
              .map do |(other, theirs), j|
                ((stature[:sd]**2) * one * other) + (mine * theirs) + (i == j ? residuals[i]**2 : 0)
              end
          end
      end

      def residual_sd(row, heavy)
        row[:residual_sd_share] * mean_stature_mm * (heavy && row[:soft] ? FIGURES[:heavy_factor] : 1)
      end
    end
  end
end
