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

      # Bands from the one that comes nearest to leaving the beginner's share of body weight, down to the weakest.
      # bands_n: those that there are (N); none: in even steps.
      def banded(plain_nm, lever_mm, bands_n)
        most = plain_nm * (1 - READY[:beginner_share]) / lever_mm * 1000
        step = READY[:band_step_n]
        all = bands_n.empty? ? step.step(Carried::FIGURES[:band][:strongest_n], step).to_a : bands_n.sort
        first = all.min_by { |newton| [(newton - most).abs, -newton] }
        all.select { |newton| newton <= first }.reverse.map { |newton| rung(band_n: newton) }
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
