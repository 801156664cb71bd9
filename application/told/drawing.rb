# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # Where the tape goes for every length of a machine, in its picture.
      module Drawing
        module_function

        # family: of the exercise; constants: as far as they are taped; adjusters: as stored. A length that cannot be,
        # and so none of it, draws the typical one.
        def of(family, constants, adjusters)
          known = constants.compact.transform_keys(&:to_sym).slice(*family.constants.keys)
          tapes = tapes(family, known)
          {
            scene: Scene.of(tapes.scene, known: known.keys),
            lengths: family.constants.keys.to_h { |name| [name, points(tapes.length(name))] },
            travels: adjusters.to_h { |adjuster| [adjuster["label"], points(tapes.travel(drives(family, adjuster)))] }
          }
        end

        def tapes(family, known)
          Scenes::Tapes.new(family, known).tap(&:scene)
        rescue Invalid
          Scenes::Tapes.new(family, {})
        end

        def drives(family, adjuster) = adjuster["drives"].transform_keys(&:to_sym).slice(*family.constants.keys)
        def points(list) = list&.map { |point| Scene.at(point) }
        private_class_method :tapes, :drives, :points
      end
    end
  end
end
