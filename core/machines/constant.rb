# frozen_string_literal: true

module Verglas
  module Machines
    # A length or an angle of a machine that is taped once: its unit (:mm or :deg) and the range outside which it is refused.
    Constant = Value.define(:unit, :range) do
      # SD of what was taped (working figures: 4 mm, 1 degree). docs/model.md section 1.
      def taped_sd = unit == :mm ? 4.0 : 1.0
    end
  end
end
