# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A hack squat facing its pad: no bend of hip or knee is claimed there, only whether somebody who stands with the
    # whole foot down lifts the carriage off its latch. Lengths along the rail, mm, from the shoulder pads.
    # docs/model.md section 5.
    class HackReach < Mechanism
      LATCH = Tables[:press][:latch]
      BODY_PARAMETERS = %i[torso thigh shank ankle_height].freeze
      RULES = {
        reach: Rule.of(:latch_to_feet, constants: 2) { |hack, at| hack.reach_mm(at) - LATCH[:past_latch_mm] }
      }.freeze

      # From the shoulder pads to the plate, the knees just off straight: the ankle over the plate counts along the
      # rail.
      def reach_mm(place)
        body.torso + leg_mm +
          (
            (body.ankle_height + wishes[:sole_mm] + wishes[:block_mm]) /
              Math.sin(Geometry::Angle.radians(place[:plate_angle]))
          )
      end

      def latch_room_mm(place) = reach_mm(place) - place[:latch_to_feet] - LATCH[:past_latch_mm] - wishes[:sink_mm]

      # Out of reach is a fault; with a block it is close at best.
      def findings(group, place)
        return [] unless group == :joint

        room = latch_room_mm(place)
        latch = grade(:latch_room, room, room, (:latch_out_of_reach if room.negative?))
        [wishes[:block_mm].positive? && latch.severity.zero? ? latch.with_severity(1) : latch]
      end

      def quantities_of(group, place)
        force = Linkages::STANDARD_GRAVITY * Math.sin(Geometry::Angle.radians(place[:rail_incline]))
        return { empty_force_n: place[:sled_mass] * force } unless group == :joint

        {
          reach_mm: reach_mm(place),
          latch_room_mm: latch_room_mm(place),
          loaded_room_mm: latch_room_mm(place) - place[:sink_per_100_kg],
          force_per_kg_n: force
        }
      end

      def shown(number, place, _agreed)
        return super unless number == :latch_short_mm

        place[:latch_to_feet] - reach_mm(place)
      end

      # By eye, how far the carriage goes down: no number rests on it.
      def span(choice, _place) = [0, family.choices.fetch(choice).most]

      def leg_mm
        @leg_mm ||=
          Math.sqrt(
            (body.thigh**2) + (body.shank**2) +
              (2 * body.thigh * body.shank * Math.cos(Geometry::Angle.radians(LATCH[:standing_bend_deg])))
          )
      end
    end
  end
end
