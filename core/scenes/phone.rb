# frozen_string_literal: true

module Verglas
  module Scenes
    # Where in a picture a phone lies that reads the movement: a Point and a direction (degrees from +x towards +y).
    Phone =
      Value.define(:at, :deg) do
        # on: as Motion::Laid has it. nil where the picture shows no such part.
        def self.of(scene, on)
          part = Phone::PARTS.fetch(on).filter_map { |id| scene.part(id) }.first or return
          from, upto = Phone::ENDS.fetch(part.shape, ->(points) { points }).call(part.points)
          along = upto - from
          new(at: from + (along * Phone::SHARE), deg: -along.angle_deg)
        end
      end

    Phone::PARTS = {
      arm: %i[arm],
      thigh: %i[thigh resting_thigh],
      foot: %i[foot foot_at_top],
      chest: %i[trunk trunk_at_top]
    }.freeze
    # Of an outline, its longest way.
    Phone::ENDS = { slab: ->(points) { points.combination(2).max_by { |one, other| (other - one).norm } } }.freeze
    # How far along the part.
    Phone::SHARE = 0.5
  end
end
