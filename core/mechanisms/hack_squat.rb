# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A hack squat, facing away: one stands on a plate under shoulder pads and lifts a carriage along a rail, the trunk along that
    # rail. The hip moves and the plate stands; lengths along the rail are taped from the shoulder pads, the plate's height from the
    # back pad's face. docs/model.md section 5.
    class HackSquat < Rail
      include HackSquat::Drawing

      LATCH = TABLE[:latch]
      BODY_PARAMETERS = [*LEG, :torso].freeze
      RULES = {
        stop: Rule.of(:stop_x, constants: 2) { |hack, at| hack.bottom(at).x_mm + hack.hip(at).s - hack.slack_target_mm },
        reach: Rule.of(:latch_distance, constants: 2) { |hack, at| hack.reach_mm(at) - LATCH[:past_latch_mm] }
      }.freeze

      def hip(_place) = @hip ||= Geometry::Point.new(body.torso, body.hip_depth)
      def trunk_deg(_place) = 180.0

      # From the shoulder pads to the plate with the client standing, the whole foot down and the knees just off straight (mm).
      def reach_mm(place) = body.torso + leg(place).x_towards_bend(LATCH[:standing_bend_deg], foot_mm(place))

      # What is left when the carriage stands clear of its latch; under load pads give and shoulders sink.
      def latch_room_mm(place) = reach_mm(place) - place[:latch_distance] - LATCH[:past_latch_mm] - wishes[:sink_mm]

      # What is left for the way back onto the latch with 100 kg (mm), the shoulders having sunk.
      def loaded_room_mm(place) = latch_room_mm(place) - place[:sink_per_100_kg]

      def asides(place, **)
        if place[:sink_per_100_kg].positive?
          [Says.of("sink.#{loaded_room_mm(place).negative? ? "short" : "room"}", mm: loaded_room_mm(place).abs.round,
                                                                                 sink: place[:sink_per_100_kg].round)]
        else
          []
        end
      end

      # What is missing without a block (mm).
      def shortfall_mm(place) = [-without_block(place) { |bare, there| bare.latch_room_mm(there) }, 0.0].max

      def report(place)
        short = shortfall_mm(place)
        found = findings(:joint, place)
        { **super, reach_mm: without_block(place) { |bare, there| bare.reach_mm(there) }, shortfall_mm: short, block_mm: wishes[:block_mm],
                   severities: found.first(short.positive? ? 3 : 2).map(&:band) }
      end

      private

      def sole_mm = wishes[:sole_mm] + wishes[:block_mm]
      def force_per_kg(place) = STANDARD_GRAVITY * Math.sin(Geometry::Angle.radians(place[:rail_incline]))
      def load_quantities(place) = { empty_force_n: force_n(place, 0.0) }

      # The same client on the same place of the plate without a block: the block is given that HackSquat, and the place.
      def without_block(place)
        return yield(self, place) if wishes[:block_mm].zero?

        bare = self.class.new(machine: @machine, body: body, wishes: wishes.wishing(block_mm: 0.0, foot_mm: foot_mm(place)))
        yield(bare, bare.place(place.parameters))
      end

      # Out of reach is a fault; with a block it is close at best.
      def further(place)
        room = latch_room_mm(place)
        latch = grade(:latch_room, room, room, (:latch_out_of_reach if room.negative?))
        [wishes[:block_mm].positive? && latch.severity.zero? ? latch.with_severity(1) : latch]
      end

      def further_quantities(place) = { reach_mm: reach_mm(place), latch_room_mm: latch_room_mm(place), loaded_room_mm: loaded_room_mm(place) }
    end
  end
end
