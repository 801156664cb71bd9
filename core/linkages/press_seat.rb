# frozen_string_literal: true

module Verglas
  module Linkages
    # Where the hip is on a press: behind a corner at which the seat's surface meets the back pad's face. Rail frame as
    # ClosedLeg, from that corner. docs/model.md section 5.
    module PressSeat
      # A Point (mm) from the corner. trunk_deg: from +x to the line from hip to shoulder; seat_deg: from +x forward
      # along the seat.
      def self.hip(body, trunk_deg:, seat_deg:)
        along_trunk, along_seat = [trunk_deg, seat_deg].map { |degrees| Geometry::Point.towards(-degrees) }
        ((along_seat * body.hip_depth) + (along_trunk * body.hip_rise)) *
          (1 / Math.sin(Geometry::Angle.radians(trunk_deg - seat_deg)))
      end
    end
  end
end
