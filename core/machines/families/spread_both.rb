# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # One seat between two arms whose pads turn: outside the thighs for abduction, inside them for adduction. The back
      # pad and the foot rests serve both; where the arms start, and how far out the pads reach, is each exercise's own.
      # docs/model.md section 7.
      SpreadBoth = station(:spread_both, exercises: { "abduction" => Abduction, "adduction" => Adduction }, own: :arm)
    end
  end
end
