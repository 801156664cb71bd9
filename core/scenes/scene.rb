# frozen_string_literal: true

module Verglas
  module Scenes
    # A machine with somebody on it, as it is drawn: one frame, x forward, y up, mm. Parts stand in the order in which they are
    # painted. Nothing of it is computed again where it is drawn.
    #   window       what of it is shown: { left:, bottom:, width:, height: }; floor: its y
    #   fade         [from, to]: between which two points a trunk fades in
    #   dimensions   numbers that stand in the picture (Dimension)
    #   targets      where a joint should lie and does (Target); lens: where their magnifier hangs: { x:, y:, scale: }, nil for none
    #   points       {name => Point} between which the tape goes, for Machines::Constant#tape
    Scene = Value.define(:window, :floor, :fade, :parts, :dimensions, :targets, :lens, :points) do
      def part(id) = parts.find { |part| part.id == id }
    end

    # A number between two points: of: the finding that it is, or :turning for where the client turns back; at: where it is written,
    # anchor: with which end of the writing there.
    Dimension = Value.define(:of, :from, :to, :at, :anchor, :value, :unit)

    # A finding in a plane: the place aimed at, the joint, and how far from it is still in line (mm).
    Target = Value.define(:finding, :at, :joint, :in_line_mm)
  end
end
