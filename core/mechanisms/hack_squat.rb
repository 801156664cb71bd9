# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A hack squat, facing away: one stands on a plate under shoulder pads and lifts a carriage along a rail, the trunk
    # along that rail. The hip moves and the plate stands; lengths along the rail are taped from the shoulder pads, the
    # plate's height from the back pad's face. docs/model.md section 5.
    class HackSquat < Rail
      LATCH = TABLE[:latch]
      BODY_PARAMETERS = [*LEG, :torso].freeze
      RULES = {
        stop:
          Rule.of(:stop_x, constants: 2, follows: { thigh: 1, shank: 1 }) do |hack, at|
            hack.bottom(at).x_mm + hack.hip(at).s - hack.slack_target_mm
          end,
        reach: Rule.of(:latch_distance, constants: 2) { |hack, at| hack.reach_mm(at) - LATCH[:past_latch_mm] }
      }.freeze

      def hip(_place) = @hip ||= Geometry::Point.new(body.torso, body.hip_depth)
      def trunk_deg(_place) = 180.0

      # From the shoulder pads to the plate with the client standing, the whole foot down and the knees as straight as
      # they may be (mm).
      def reach_mm(place) = reach_at_mm(place, foot_mm(place))

      # What is left when the carriage stands clear of its latch; under load pads give and shoulders sink.
      def latch_room_mm(place) = reach_mm(place) - needed_mm(place)

      # Where the heels are best: within their window as near to its middle as the latch is reached; the middle where it
      # is reached from nowhere.
      def foot_mm(place) = wishes[:foot_mm] || place.once(:foot) { reaching_foot_mm(place) || window(place).heel_mm }

      # What is left for the way back onto the latch with 100 kg (mm), the shoulders having sunk.
      def loaded_room_mm(place) = latch_room_mm(place) - place[:sink_per_100_kg]

      # What is missing without a block, wherever in their window the feet stand (mm).
      def shortfall_mm(place)
        [without_block(place) { |bare, there| bare.needed_mm(there) - bare.greatest_reach_mm(there) }, 0.0].max
      end

      # From the shoulder pads to where the carriage stands clear of its latch, the shoulders sunk (mm).
      def needed_mm(place) = place[:latch_distance] + LATCH[:past_latch_mm] + wishes[:sink_mm]

      # The furthest that is reached with the feet within their window.
      def greatest_reach_mm(place)
        furthest = leg(place).heel_square_to_plate(standing_bend_deg)
        reach_at_mm(place, furthest.clamp(*feet_window(place)))
      end

      def sole_mm = wishes[:sole_mm] + wishes[:block_mm]

      # Out of reach is a fault; with a block it is close at best.
      def further(place)
        room = latch_room_mm(place)
        latch = grade(:latch_room, room, room, (:latch_out_of_reach if room.negative?))
        [wishes[:block_mm].positive? && latch.severity.zero? ? latch.with_severity(1) : latch]
      end

      private

      def spare_mm = LATCH[:past_latch_mm] + wishes[:sink_mm]
      def standing_bend_deg = [LATCH[:standing_bend_deg], lowest_knee_deg].compact.max
      def reach_at_mm(place, foot_mm) = body.torso + leg(place).x_towards_bend(standing_bend_deg, foot_mm)

      # An empty window has its one place.
      def feet_window(place)
        window(place).then { |seen| seen.empty? ? [seen.heel_mm] * 2 : [seen.low_mm, seen.high_mm] }
      end

      # nil where no place of the window reaches the latch.
      def reaching_foot_mm(place)
        least, most = feet_window(place)
        low, high = leg(place).heels_reaching(needed_mm(place) - body.torso, standing_bend_deg)
        return if low.nil? || low > most || high < least

        window(place).heel_mm.clamp([low, least].max, [high, most].min)
      end

      def force_per_kg(place) = Linkages::STANDARD_GRAVITY * Math.sin(Geometry::Angle.radians(place[:rail_incline]))
      def load_quantities(place) = { empty_force_n: force_n(place, 0.0) }

      # The same client without a block, the feet where they are best then: the block is given that HackSquat, and the
      # place.
      def without_block(place)
        return yield(self, place) if wishes[:block_mm].zero?

        bare = self.class.new(machine: @machine, body: body, wishes: wishes.wishing(block_mm: 0.0, foot_mm: nil))
        yield(bare, bare.place(place.parameters))
      end

      def further_quantities(place)
        { reach_mm: reach_mm(place), latch_room_mm: latch_room_mm(place), loaded_room_mm: loaded_room_mm(place) }
      end
    end
  end
end
