# frozen_string_literal: true

module Verglas
  module Formats
    module Answers
      # What a document tells of a belt squat at its top.
      class BeltSquat < Headline
        def report
          {
            ring_mm: mechanics.ring_mm(place),
            drop_mm: mechanics.drop_mm,
            mat_mm: wishes[:mat_mm],
            link: mechanics.link(place),
            fewest_links: mechanics.fewest_links(place),
            most_links: mechanics.most_links(place),
            lift_mm: mechanics.lift_mm(place),
            bottom_room_mm: mechanics.bottom_room_mm(place),
            clip_squat_mm: mechanics.lift_mm(place),
            fits: mechanics.most_links(place) >= 1 && mechanics.clips?(place),
            missing_mm: mechanics.missing_mm(place),
            state: mechanics.deepest.to_h
          }
        end
      end
    end
  end
end
