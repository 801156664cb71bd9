# frozen_string_literal: true

module Verglas
  module Machines
    # What is chosen with the marks and is no mark itself (mm, unless its name says otherwise): a cushion, a pad, the
    # place of the feet on a plate, the link of a chain.
    #   how       :if_needed: tried only where the marks alone leave something, and the thinnest that helps; :computed:
    #             the mechanism says which, of the sizes that exist; :placed: anywhere within what the mechanism allows,
    #             which says too where it is best at some marks; :added: the same, from nothing upwards, and nothing
    #             unless somebody adds it
    #   makers    whether the machine's maker has to allow it
    #   mends     the findings for whose sake alone it is sought; none: for any
    #   stage     of Guidance::Flow at which a placed one has a step of its own; nil for one that is set beside another,
    #             and for the others, which are laid before anyone sits
    #   step      by how much a placed one is changed at a touch
    #   most      of an added one there can be
    #   of        what of the gym's own it is one of, where that has a list (:bands); nil: any number
    Choice =
      Value.define(:name, :how, :makers, :mends, :stage, :step, :most, :of) do
        def sought? = how == :if_needed
        # Whether it may help against these findings; nil: whichever they are.
        def sought_for?(codes) = mends.empty? || codes.nil? || mends.intersect?(codes)
        def placed? = open? || added?
        # Placed somewhere in any case, where it is best unless somebody says otherwise.
        def open? = how == :placed
        def added? = how == :added

        # What the gym owns of it is kept under this name.
        def equipment = name.to_s.delete_suffix("_mm")
      end
    Choice::WAYS = %i[if_needed computed placed added].freeze
    Choice::LISTS = %i[bands].freeze
  end
end
