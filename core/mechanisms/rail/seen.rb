# frozen_string_literal: true

module Verglas
  module Mechanisms
    class Rail < Mechanism
      # What somebody who watches a rail goes by (Mechanism#shown).
      module Seen
        # Hip and ankle where the client was asked to turn, over what they may do; by how much the travel ends too
        # early; how far the latch is out of reach.
        def shown(number, place, agreed)
          case number
          when :hip_over_deg
            bent_to(place, agreed).hip_bend_deg - hip_limit_deg
          when :ankle_over_deg
            bent_to(place, agreed).ankle_bend_deg - ankle_limit_deg
          when :cut_short_mm
            cut_short_mm(place)
          when :latch_short_mm
            quantities(place)[:latch_room_mm]&.then { |room| -room - spare_mm }
          else
            super
          end
        end

        # The bend of the knee (degrees).
        def agreed(place) = turning(place).knee_bend_deg

        private

        # A stack that rests a little before the bottom is in line.
        def cut_short_mm(place) = ends == :rest_x ? slack_mm(place) - band(:rest_slack).in_line.max : -slack_mm(place)

        # Of the room at the latch, what is only kept in hand.
        def spare_mm = 0.0
        def bent_to(place, knee_deg) = leg(place).towards_bend(knee_deg, foot_mm(place))
      end
    end
  end
end
