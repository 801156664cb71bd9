# frozen_string_literal: true

module Verglas
  module Formats
    module Answers
      # What a document tells of a hack reach at its top.
      class HackReach < Headline
        def report
          {
            reach_mm:
              mechanics.reach_mm(place) - (wishes[:block_mm] / Math.sin(Geometry::Angle.radians(place[:plate_angle]))),
            block_mm: wishes[:block_mm],
            reach_ok: !mechanics.latch_room_mm(place).negative?
          }
        end
      end
    end
  end
end
