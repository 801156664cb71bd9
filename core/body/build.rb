# frozen_string_literal: true

module Verglas
  module Body
    # What is known of somebody beside the tape: sex, body mass and age, and what follows from them for the body: how
    # much it weighs for its stature, and how much of that stature the years have taken. docs/model.md section 1.
    #   sex            "man", "woman", nil: not given
    #   body_mass_kg   nil: not known
    #   age_years      nil: not known
    Build =
      Value.define(:sex, :body_mass_kg, :age_years) do
        def self.of(sex: nil, body_mass_kg: nil, age_years: nil)
          new(sex: sex, body_mass_kg: body_mass_kg, age_years: age_years)
        end

        def check
          Prior.check_sex(sex)
          check_number(body_mass_kg, :body_mass_not_positive, "/body_mass", &:positive?)
          check_number(age_years, :age_out_of_range, "/age") { |years| years.between?(0, 130) }
        end

        # Stature lost since thirty (mm), and its SD.
        def loss_mm
          past = (age_years || 0) - Build::AGEING[:from_years]
          past.positive? ? Build::AGEING.fetch(sex&.to_sym || :not_given) * (past**2) : 0.0
        end

        def loss_sd_mm = Build::AGEING[:sd_share] * loss_mm

        # What the trunk has lost of it (mm).
        def trunk_loss_mm = Build::AGEING[:trunk_share] * loss_mm

        # Body mass over stature squared (kg/m^2): the stature as it was taped last, or the prior's mean; nil where the
        # mass is not known.
        def mass_index(readings)
          return unless body_mass_kg

          read = readings.reverse.find { |reading| reading.observation == :stature && plausible?(reading.value_mm) }
          body_mass_kg / (((read ? read.value_mm : Prior.new(sex: sex).mean_stature_mm) / 1000.0)**2)
        end

        # Whether a stature can be, with what was lost of it (mm, as taped).
        def plausible?(stature_mm) = Observation.fetch(:stature).limits_mm.cover?(stature_mm + loss_mm)

        private

        def check_number(value, code, path)
          return if value.nil? || (value.is_a?(Numeric) && value.finite? && yield(value))

          raise Invalid.new(code, path: path, value: value)
        end
      end

    Build::AGEING = Tables[:body][:ageing]
  end
end
