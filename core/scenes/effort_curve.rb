# frozen_string_literal: true

module Verglas
  module Scenes
    # What a movement asks over its range (Curve): of what is carried, and of body weight alone where anything is added.
    # carrier: answers torque_nm(angle, held:, band:) in N m at degrees above level, added? and weighed?
    # (Mechanisms::Carried).
    class EffortCurve
      STEP_DEG = 5

      def initialize(carrier)
        @carrier = carrier
      end

      # from, upto: of the axis (degrees); range: [where the movement turns, where it ends]; says: what is turned about;
      # tops: {degrees => whether it is this machine's}; corner: as Curve has it.
      def drawn(from:, upto:, range:, says:, corner: nil, tops: {})
        angles = (from.round..upto.round).step(STEP_DEG).to_a | [upto.round]
        Curve.new(
          points: points(angles),
          plain: @carrier.added? ? points(angles, **PLAIN) : [],
          range: range,
          tops: tops.map { |deg, own| top(deg, own) },
          says: says,
          estimated: !@carrier.weighed?,
          corner: corner
        )
      end

      # Body weight alone.
      PLAIN = { held: 0.0, band: 0.0 }.freeze
      private_constant :PLAIN

      private

      def top(deg, own)
        CurveTop.new(deg: deg, nm: @carrier.torque_nm(deg), plain_nm: @carrier.torque_nm(deg, **PLAIN), own: own)
      end

      def points(angles, **carried) = angles.map { |deg| [deg, [@carrier.torque_nm(deg, **carried), 0.0].max] }
    end
  end
end
