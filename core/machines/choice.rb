# frozen_string_literal: true

module Verglas
  module Machines
    # What is chosen with the marks and is no mark itself (mm): a cushion, a pad, later a place on a plate.
    #   how       :if_needed: tried only where the marks alone leave something, and the thinnest that helps; :computed: the
    #             mechanism says which
    #   makers    whether the machine's maker has to allow it
    Choice = Value.define(:name, :how, :makers) do
      def sought? = how == :if_needed

      # What the gym owns of it is kept under this name.
      def equipment = name.to_s.delete_suffix("_mm")
    end
  end
end
