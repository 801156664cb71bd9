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

        # {kind => sizes, mm}. Two that are the same to a tenth of a millimetre are one too many.
        def sizes(input)
          Store::Tables::Equipment::KINDS.to_h do |kind|
            sizes = input[kind.to_sym].map { |size| size.to_f.round(MM_DIGITS) }
            raise Invalid.new(:repeated, path: "/#{kind}") unless sizes.uniq.size == sizes.size

            [kind, sizes]
          end
        end

        # {kg => pairs}
        def plates(plates)
          masses = plates.each_with_index.map { |plate, index| kilograms(plate, index) }
          raise Invalid.new(:mass_repeated, path: "/plates") unless masses.uniq.size == masses.size

          masses.zip(plates.map { |plate| plate["pairs"] }).to_h
        end

        def kilograms(plate, index)
          kg = Loading::Units.kg(plate["mass"], plate["unit"].to_sym).round(KG_DIGITS)
          raise Invalid.new(:out_of_range, path: "/plates/#{index}/mass", low: LIGHTEST_KG, high: HEAVIEST_KG) unless kg.between?(LIGHTEST_KG, HEAVIEST_KG)

          kg
        end
        private_class_method :kilograms
      end
    end
  end
end
