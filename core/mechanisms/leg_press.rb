# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A leg press: one sits between a seat and a plate on a rail; a sled that is caught by stops, or a stack that rests.
    # Lengths are taped from the corner where the seat's surface meets the back pad's face. docs/model.md section 5.
    class LegPress < Rail
      FROM_STRAIGHT_MM = TABLE[:latch][:from_straight_mm]
      BODY_PARAMETERS = [*LEG, :hip_rise].freeze
      RULES = {
        recline: Rule.of(:trunk_angle, unit: :deg),
        stop:
          Rule.of(:stop_x, constants: 2, follows: { thigh: 1, shank: 1 }) do |press, at|
            press.bottom(at).x_mm + press.hip(at).s - press.slack_target_mm
          end,
        reach: Rule.of(:latch_x),
        rest:
          Rule.of(:rest_x, constants: 2, follows: { thigh: 1, shank: 1 }) do |press, at|
            press.bottom(at).x_mm + press.hip(at).s
          end
      }.freeze

      def hip(place)
        stance(place).once(:hip) do
          Linkages::PressSeat.hip(body, trunk_deg: place[:trunk_angle], seat_deg: place[:seat_angle])
        end
      end
      def trunk_deg(place) = place[:trunk_angle]

      # How far from straight the leg still is where the sled unlatches (mm), or from where this client's knee has its
      # lower end: nothing left means that it does not get there.
      def latch_room_mm(place)
        reach = body.thigh + body.shank - FROM_STRAIGHT_MM
        reach = [reach, leg(place).reach_mm(top_deg)].min if lowest_knee_deg
        reach - leg(place).ankle_at(from_hip(place, :latch_x), foot_mm(place)).norm
      end

      def beside_stance = %i[latch_x]

      # A stack has no latch.
      def latches? = family.constants.key?(:latch_x)

      def further(place)
        return [] unless latches?

        room = latch_room_mm(place)
        [grade(:latch_room, room, room, (:latch_out_of_reach if room.negative?))]
      end

      private

      def spare_mm = FROM_STRAIGHT_MM

      # A sled slides down its rail; a stack hangs on a cable.
      def force_per_kg(place)
        Linkages::STANDARD_GRAVITY *
          (place.parameters[:stack_ratio] || Math.sin(Geometry::Angle.radians(place[:rail_incline])))
      end

      def load_quantities(place) = place.parameters.key?(:sled_mass) ? { empty_force_n: force_n(place, 0.0) } : {}

      def further_quantities(place)
        {
          back_from_level_deg: place[:trunk_angle] + place[:rail_incline],
          **(latches? ? { latch_room_mm: latch_room_mm(place) } : {})
        }
      end
    end
  end
end
