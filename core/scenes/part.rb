# frozen_string_literal: true

module Verglas
  module Scenes
    # One thing that is drawn. Scene frame: x forward, y up, mm.
    #   id, role     its name; what it is, by which it is coloured (one of ROLES)
    #   shape        :slab (a closed outline of points), :capsule (two points, a radius at each), :circle (a point and
    #                its radius), :line (points, joined; its width as radius), :arc (its centre and radius, from degrees
    #                to degrees, counted from +x towards +y)
    #   ghost        where it will be, not where it is; moves: with a mark; faded: where the body fades out
    #   of           the machine's constants that it is drawn from
    Part =
      Value.define(:id, :role, :shape, :points, :radii, :degrees, :ghost, :moves, :faded, :of) { def at = points.first }

    Part::ROLES = %i[
      frame
      machine
      pad
      roller
      arm
      cushion
      block
      weight
      body
      joint
      path
      beyond
      later
      target
      travelled
      wanted
      slow
    ].freeze
  end
end
