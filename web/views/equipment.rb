# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What a gym owns besides machines (Questions::Cushions, Plates, Bands), each with the version over which it is
      # changed.
      module Equipment
        module_function

        # Every kind that some family can use.
        def cushions(cushions)
          kinds =
            Application::Aids::KINDS.map do |kind|
              {
                name: kind,
                title: words(kind, :owned),
                hint: words(kind, :hint),
                sizes: cushions.sizes.fetch(kind, [])
              }
            end
          { kinds: kinds.sort_by { |kind| kind[:title] }, version: cushions.version }
        end

        def plates(plates)
          { plates: plates.pairs.map { |kg, pairs| { mass_kg: kg, pairs: pairs } }, version: plates.version }
        end

        def bands(bands)
          { bands: bands.bands.map { |newton, name| { name: name, newton: newton } }, version: bands.version }
        end

        def words(kind, part) = Formats::Words.say("aids.#{kind}_mm.#{part}")
        private_class_method :words
      end
    end
  end
end
