# frozen_string_literal: true

module Verglas
  module Machines
    # A length (:mm) or an angle (:deg) of a machine that is taped once: the range outside which it is refused, the range
    # outside which it is taken for a likely slip and asked about (working figures), what holds where nobody taped it (nil:
    # nothing does), the group of adjusters with which it is solved, and between which points of the picture
    # the tape goes (Mechanisms::Tapes).
    Constant = Value.define(:unit, :range, :usual, :default, :group, :tape) do
      # SD of what was taped (working figures: 4 mm, 1 degree). docs/model.md section 1.
      def self.taped_sd(unit) = unit == :mm ? 4.0 : 1.0
      def taped_sd = Constant.taped_sd(unit)
    end
  end
end
