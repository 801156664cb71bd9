# frozen_string_literal: true

module Verglas
  module Linkages
    # How both feet stand on a plate: how far apart the heels' middles are (mm), how far the toes turn out (degrees). As
    # it was placed, else a share of the body's stature, and no wider than a plate whose width is taped. docs/model.md
    # section 5.
    class Stance
      FIGURES = Tables[:press][:stance]
      TENS = -1

      # plate_mm: the plate's width, nil where it was not taped; placed: {stance_mm:, turn_deg:}, nil or missing where
      # nobody placed it.
      def self.of(body, plate_mm, placed)
        turn = placed[:turn_deg] || FIGURES[:turn_deg]
        beside = beside_mm(body, turn)
        usual = (FIGURES[:share_of_stature] * body.stature).round(TENS)
        fitting = plate_mm ? [usual, ((plate_mm / 2.0) - beside) * 2].min.clamp(0.0, nil).floor(TENS) : usual
        new(stance_mm: (placed[:stance_mm] || fitting).to_f, turn_deg: turn.to_f, beside_mm: beside, plate_mm: plate_mm)
      end

      # From the middle of a heel to the outermost of its shoe (mm): round at both ends, turned about the heel's end.
      def self.beside_mm(body, turn_deg)
        half = FIGURES[:shoe_mm] / 2.0
        ((body.foot - half) * Math.sin(Geometry::Angle.radians(turn_deg))) + half
      end
      private_class_method :beside_mm, :new

      def initialize(stance_mm:, turn_deg:, beside_mm:, plate_mm:)
        @stance_mm = stance_mm
        @turn_deg = turn_deg
        @beside_mm = beside_mm
        @plate_mm = plate_mm
        freeze
      end

      def to_h = { stance_mm: @stance_mm, turn_deg: @turn_deg }

      # From the outermost of a shoe to the plate's edge, each side; nil where the width is not known.
      def room_mm = @plate_mm && (((@plate_mm - @stance_mm) / 2.0) - @beside_mm)
    end
  end
end
