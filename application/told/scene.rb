# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # A picture as data: points as [x, y], x forward, y up, tenths of a millimetre.
      module Scene
        module_function

        # nil where nothing can be drawn. known: the constants that are taped; what is drawn from another is marked as a guess.
        def of(scene, known: nil)
          return unless scene

          { window: scene.window.transform_values { |mm| mm.to_f.round(1) }, floor: scene.floor, fade: scene.fade.map { |point| at(point) },
            parts: scene.parts.map { |part| part(part, known) }, dimensions: scene.dimensions.map { |one| dimension(one) },
            targets: scene.targets.map { |target| { finding: target.finding, at: at(target.at), joint: at(target.joint), in_line_mm: target.in_line_mm } }, lens: scene.lens }
        end

        def part(part, known)
          { id: part.id, role: part.role, shape: part.shape, points: part.points.map { |point| at(point) }, radii: part.radii.map { |mm| mm.to_f.round(1) },
            degrees: part.degrees.map { |deg| deg.to_f.round(2) }, ghost: part.ghost, moves: part.moves, faded: part.faded, guess: !known.nil? && !(part.of - known).empty? }
        end

        def dimension(one)
          { of: one.of, from: at(one.from), to: at(one.to), at: at(one.at), anchor: one.anchor, value: one.value.round(1), unit: one.unit }
        end

        def at(point) = [point.s.to_f.round(1), point.n.to_f.round(1)]
        private_class_method :part, :dimension
      end
    end
  end
end
