# frozen_string_literal: true

module Verglas
  module Mechanisms
    # What a movement asks over its range, as it is drawn (Scenes::Curve): of what is carried, and of body weight alone where anything is
    # added. A mechanism gives the torque at an angle (N m; degrees above level) with the weight and the band as they are, or others.
    module EffortCurve
      STEP_DEG = 5

      # from, upto: of the axis; range: [where the movement turns, where it ends]; tops: {degrees => whether it is this machine's}; corner: as Scenes::Curve has it.
      def effort_curve(from:, upto:, range:, corner: nil, tops: {})
        angles = (from.round..upto.round).step(STEP_DEG).to_a | [upto.round]
        Scenes::Curve.new(points: drawn(angles), plain: added? ? drawn(angles, held: 0.0, band: 0.0) : [], range: range,
                          tops: tops.map { |deg, own| top(deg, own) }, says: curve_says, estimated: !weighed?, corner: corner)
      end

      private

      def top(deg, own) = Scenes::CurveTop.new(deg: deg, nm: torque_nm(deg), plain_nm: torque_nm(deg, held: 0.0, band: 0.0), own: own)

      def drawn(angles, **carried) = angles.map { |deg| [deg, [torque_nm(deg, **carried), 0.0].max] }
    end
  end
end
