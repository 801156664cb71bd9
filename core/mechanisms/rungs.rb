# frozen_string_literal: true

module Verglas
  module Mechanisms
    # The rungs of a machine on which body weight is the load, easiest first: what makes it easier (a steeper bench, a
    # band that helps), body weight as it is, then what is held. A mechanism gives the torque where its movement is
    # hardest to end (`rung_nm`).
    module Rungs
      READY = Tables[:hinge][:ready]
      WEIGHTS = 4

      private

      # Steps of a band from where the beginner's share of body weight is left, down to the last.
      def banded(plain_nm, lever_mm)
        most = plain_nm * (1 - READY[:beginner_share]) / lever_mm * 1000
        step = READY[:band_step_n]
        (most / step)
          .round
          .clamp(1, Carried::FIGURES[:band][:strongest_n] / step)
          .downto(1)
          .map { |count| rung(band_n: count * step) }
      end

      def weighted(deg: nil) = (1..WEIGHTS).map { |count| rung(deg: deg, held_kg: count * READY[:weight_step_kg]) }

      # Beside body weight, which lies where nobody has added anything.
      def rung(deg: nil, held_kg: 0, band_n: 0)
        wishes = { angle_deg: deg, held_kg: held_kg, band_help_n: band_n }.compact.slice(
          *family.wishes.keys,
          *family.choices.keys
        )
        Rung.new(
          wishes: wishes.transform_values(&:to_f),
          deg: deg,
          held_kg: held_kg,
          band_n: band_n,
          top_nm: rung_nm(deg, held_kg, band_n)
        )
      end
    end
  end
end
