# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # How far a machine sits from its tape by the fittings that were checked by eye; nobody's name.
      module MachineErrors
        INTERVAL = Verglas::Statistics::Gaussian::INTERVAL

        module_function

        # errors: [Application::MachineErrors::Learned].
        def of(errors) = { errors: errors.map { |one| length(one) } }

        def length(one)
          {
            exercise: one.exercise,
            constant: one.constant,
            title: Formats::Words.say("constants.#{one.constant}.title"),
            value: one.value,
            corrected: one.corrected,
            bias_mm: one.bias.mean_mm.round(1),
            sure_mm: (INTERVAL * one.bias.sd_mm).round(1),
            count: one.bias.count,
            says: says(one),
            drift: one.drift && drift(one),
            fits: fits(one)
          }
        end

        def says(one)
          given = { count: one.bias.count, sure: (INTERVAL * one.bias.sd_mm).round }
          return words(:as_taped, **given) unless one.bias.told?

          words(:off, mm: one.bias.mean_mm.abs.round, way: way(one, one.bias.mean_mm), **given)
        end

        def drift(one)
          by, sd = one.drift
          words(
            :drift,
            last: Verglas::Fitting::TapedBias::LAST,
            mm: by.abs.round,
            way: way(one, by),
            before: one.bias.count - Verglas::Fitting::TapedBias::LAST,
            sure: (INTERVAL * sd).round
          )
        end

        def way(one, off_mm) = words(:"#{one.constant}.#{off_mm.positive? ? :more : :less}")

        # Oldest first; lately: of the last ones, where there are enough before them.
        def fits(one)
          from = one.fits.size - Verglas::Fitting::TapedBias::LAST
          one.fits.each_with_index.map do |fit, index|
            {
              required_mm: fit.required.round(1),
              accepted_mm: fit.accepted.round(1),
              lately: from.between?(Verglas::Fitting::TapedBias::LEAST, index)
            }
          end
        end

        def words(key, **params) = Formats::Words.say("machine_errors.#{key}", **params)
        private_class_method :length, :says, :drift, :way, :fits, :words
      end
    end
  end
end
