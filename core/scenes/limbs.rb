# frozen_string_literal: true

module Verglas
  module Scenes
    # A body as tapered limbs of its own dimensions: nothing pretends to be anatomy. facing: +1 where its front is up or
    # forward of a leg that points down, -1 where it lies face down.
    class Limbs
      # A knee and a thigh as they are drawn, as shares of the kneecap's depth; the thinnest ankle (mm).
      KNEE = 0.88
      THIGH_END = 0.96
      THIN_MM = 22
      # A foot that stands: heel and toes from the ankle, as shares of its length, each with a radius (mm).
      PLANTED = [[-0.15, 23], [0.71, 17]].freeze
      # What is laid under a foot is longer at both ends (mm).
      UNDERFOOT_MM = 20
      SOLE_MM = 29
      TOE_MM = 17

      def initialize(body, facing: 1)
        @body = body
        @facing = facing
      end

      # The lower leg, as thick where the pad touches as the model says (contact_mm from the knee), so that the pad just
      # touches it.
      def shin(sketch, knee, ankle, contact_mm, id: :shin, **how)
        at_knee = @body.knee_front * KNEE
        at_ankle = at_knee + ((@body.calf_half - at_knee) * (ankle - knee).norm / [contact_mm, 1.0].max)
        sketch.capsule(id, :body, [knee, ankle], [at_knee, [at_ankle, THIN_MM].max], moves: true, **how)
      end

      # A whole foot in its shoe on something flat, the sole of the shoe as thick as it counts. towards: of the toes;
      # out: from the ankle to what is stood on (unit Points, square to each other). Answers where the shoe ends, heel
      # and toe (Points).
      def planted_foot(sketch, ankle, towards:, out:, sole_mm:, suffix: "", **how)
        heel, toe =
          PLANTED.map do |share, radius|
            ankle + (towards * (share * @body.foot)) + (out * (@body.ankle_height - radius))
          end
        sketch.capsule(:"foot#{suffix}", :body, [heel, toe], PLANTED.map(&:last), moves: true, **how)
        ends = [
          heel - (towards * PLANTED[0][1]) + (out * PLANTED[0][1]),
          toe + (towards * PLANTED[1][1]) + (out * PLANTED[1][1])
        ]
        under = ends.map { |point| point + (out * sole_mm) }
        sketch.slab(:"shoe#{suffix}", :cushion, *ends, *under.reverse, moves: true, **how) if sole_mm.positive?
        under
      end

      # What lies under both feet from there on, so thick (mm).
      def underfoot(sketch, id, ends, out, thick_mm, **how)
        along = (ends.last - ends.first).unit * UNDERFOOT_MM
        upper = [ends.first - along, ends.last + along]
        sketch.slab(id, :block, *upper, *upper.reverse.map { |point| point + (out * thick_mm) }, moves: true, **how)
      end

      # A foot square to its leg.
      def foot(sketch, knee, ankle, id: :foot, **how)
        along = (ankle - knee).unit
        forward = ahead(along)
        sole = ankle + (along * (@body.ankle_height * 0.55))
        toe = sole + (forward * (0.68 * @body.foot)) + (along * 10)
        sketch.capsule(id, :body, [sole + (forward * (-0.12 * @body.foot)), toe], [SOLE_MM, TOE_MM], moves: true, **how)
      end

      def thigh(sketch, hip, knee, hip_mm: @body.hip_rise, **how)
        sketch.capsule(:thigh, :body, [hip, knee], [hip_mm, @body.knee_front * THIGH_END], moves: true, **how)
      end

      # A thigh that rests on a seat, as thick at one place as the body has it: from hip to knee over the middle of that
      # place (Point).
      def resting_thigh(sketch, hip, middle, knee)
        sketch.capsule(
          :thigh,
          :body,
          [hip, middle, knee],
          [@body.hip_rise, @body.thigh_depth / 2.0, @body.knee_front * THIGH_END],
          moves: true
        )
      end

      # A trunk from near the hip along a direction, as deep behind the hip as the hips are.
      def trunk(sketch, centre, upwards, half_mm, top_mm, **how)
        sketch.capsule(
          :trunk,
          :body,
          [centre, centre + (upwards * (@body.torso * 0.95))],
          [half_mm, top_mm],
          moves: true,
          faded: true,
          **how
        )
      end

      # The front of a leg that runs along a direction.
      def ahead(along) = along.front * @facing
    end
  end
end
