# frozen_string_literal: true

module Verglas
  module Web
    module Inputs
      # What a gym owns besides machines, as it was typed.
      module Equipment
        # As exactly as the database keeps them.
        MM_DIGITS = 1
        KG_DIGITS = 3
        LIGHTEST_KG = 0.1
        HEAVIEST_KG = 100

        module_function

        # {kind => sizes, mm}, every kind. Two that are the same to a tenth of a millimetre are one too many.
        def sizes(input)
          unknown = input[:sizes].keys - Application::Aids::KINDS
          raise Invalid.new(:unknown_field, path: "/sizes/#{unknown.first}") if unknown.any?

          Application::Aids::KINDS.to_h { |kind| [kind, sizes_of(kind, input[:sizes])] }
        end

        def sizes_of(kind, given)
          sizes =
            given
              .fetch(kind) { raise Invalid.new(:missing, path: "/sizes/#{kind}", name: kind) }
              .map { |size| size.to_f.round(MM_DIGITS) }
          raise Invalid.new(:repeated, path: "/sizes/#{kind}") unless sizes.uniq.size == sizes.size

          sizes
        end

        # {kg => pairs}
        def plates(plates)
          masses = plates.each_with_index.map { |plate, index| kilograms(plate, index) }
          raise Invalid.new(:mass_repeated, path: "/plates") unless masses.uniq.size == masses.size

          masses.zip(plates.map { |plate| plate["pairs"] }).to_h
        end

        # {N => what it is called}; two of one name, or that pull alike, are one too many.
        def bands(bands)
          names = bands.map { |band| band["name"].strip.gsub(/\s+/, " ") }
          raise Invalid.new(:blank, path: "/bands") if names.any?(&:empty?)

          newtons = bands.map { |band| band["newton"] }
          repeated = [names.map(&:downcase), newtons].any? { |list| list.uniq.size < list.size }
          raise Invalid.new(:repeated, path: "/bands") if repeated

          newtons.zip(names).to_h
        end

        def kilograms(plate, index)
          kg = Loading::Units.kg(plate["mass"], plate["unit"].to_sym).round(KG_DIGITS)
          unless kg.between?(LIGHTEST_KG, HEAVIEST_KG)
            raise Invalid.new(:out_of_range, path: "/plates/#{index}/mass", low: LIGHTEST_KG, high: HEAVIEST_KG)
          end

          kg
        end
        private_class_method :sizes_of, :kilograms
      end
    end
  end
end
