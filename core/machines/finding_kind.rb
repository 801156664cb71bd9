# frozen_string_literal: true

module Verglas
  module Machines
    # What a family grades, declared in one row: everything that anybody has to know of a finding but its number.
    #   code, band     its name; its Band
    #   graded         the quantity whose SD is that of the graded number
    #   shown          the quantity that is told in its place, a bend in whole degrees and never more than it is; nil:
    #                  the same
    #   group          the group of adjusters with which it is solved
    #   plane          two quantities where it is a place in a plane (the joint from the pivot), along and across; else
    #                  nil
    #   rests_on       constants it rests on, to be read again where it makes no sense
    #   set_by         decisions and fixed steps that set it, to be looked at again when it was disturbed
    #   mends          what mends a number that is too small, and one that is too large; of a plane the two of each
    #                  direction; nil: what it says tells it
    #   never          faults with which nothing is accepted, whatever the reason
    #   guarded        {fault => joint}: with these nothing is accepted either where a caution on that joint stands
    #   by_hand        {body parameter => SD, mm} above which it is left to the hand and never graded
    #   where_driven   a constant: graded only where an adjuster moves it; nil: always
    #   weighs         whether marks are chosen by it; what does not weigh is told and graded at the marks that were
    #                  chosen
    #   quiet          whether it is told only where it is not in line
    FindingKind =
      Value.define(
        :code,
        :band,
        :graded,
        :shown,
        :group,
        :plane,
        :rests_on,
        :set_by,
        :mends,
        :never,
        :guarded,
        :by_hand,
        :where_driven,
        :weighs,
        :quiet
      ) do
        def unit = band.unit
        def plane? = !plane.nil?

        # Whether a body known this well (Body::Estimate) leaves it to the hand.
        def by_hand?(estimate) = by_hand.any? { |parameter, most| estimate.sd_of(parameter) > most }

        # Names of all quantities it stands on.
        def quantities = [graded, *shown, *plane]
      end
  end
end
