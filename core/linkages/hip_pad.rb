# frozen_string_literal: true

module Verglas
  module Linkages
    # The pad under the hips of somebody who lies on a flat bench, for hips bent by about 15 degrees. docs/model.md
    # section 4.
    module HipPad
      BEND_DEG = Tables[:knee][:lying_hips][:bend_deg].to_f
      SHARE_OF_TORSO = Tables[:knee][:lying_hips][:share_of_torso]
      THICKEST_MM = 200.0

      module_function

      # Hip bend in degrees over a pad of a thickness (mm): the thigh slopes to one side of it, the trunk to the other.
      def bend_deg(body, pad_mm)
        Geometry::Angle.arcsine_deg(pad_mm / body.thigh) +
          Geometry::Angle.arcsine_deg(pad_mm / (SHARE_OF_TORSO * body.torso))
      end

      # The thickness (mm) that gives the wanted bend, by bisection: the bend grows with the pad.
      def wanted_mm(body)
        low = 0.0
        high = THICKEST_MM
        60.times do
          middle = (low + high) / 2
          bend_deg(body, middle) < BEND_DEG ? low = middle : high = middle
        end
        (low + high) / 2
      end

      # Of the pads that exist (mm), the one whose bend is nearest; 0 where none is better.
      def nearest(body, sizes_mm) = [0, *sizes_mm].min_by { |size| (bend_deg(body, size) - BEND_DEG).abs }
    end
  end
end
