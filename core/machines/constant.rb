# frozen_string_literal: true

module Verglas
  module Machines
    # A number of a machine that is taken once, mostly with the tape: its unit (UNITS), the range outside which it is
    # refused, the range outside which it is taken for a likely slip and asked about (working figures), what holds where
    # nobody took it (nil: nothing does), the group of adjusters with which it is solved (nil: no mark has to do with
    # it), between which points of the picture the tape goes (Mechanisms::Tapes), and whether a machine is whole without
    # it.
    Constant =
      Value.define(:unit, :range, :usual, :default, :group, :tape, :optional) do
        # SD of what was taped (working figures: 4 mm, 1 degree); what is read off the machine is known. docs/model.md
        # section 1.
        def self.taped_sd(unit) = { mm: 4.0, deg: 1.0 }.fetch(unit, 0.0)
        def taped_sd = Constant.taped_sd(unit)
      end

    Constant::UNITS = %i[mm deg kg count ratio].freeze
    # What is solved together, and what only bears (hips), weighs (load) or is wide.
    Constant::GROUPS = %i[joint arm seat thigh_pad catch hips load width].freeze
    # Between how many points of the picture it is taped, where it is: a length's ends; an angle's vertex, the line from
    # which it counts, and its arm.
    Constant::POINTS = { mm: 2, deg: 3 }.freeze
  end
end
