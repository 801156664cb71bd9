# frozen_string_literal: true

module Verglas
  module Machines
    # What an adjuster of a family moves, as somebody who enters a machine chooses it, and what that means for a
    # fitting.
    #   drives    {constant => factor} for marks that grow forwards; marks that run the other way count backwards
    #   decides   the name of what decides its place (a rule of the mechanism, a step in words); nil: its mark is only
    #             recorded
    #   beside    {another kind => what it decides where the machine has that too}
    #   stage     of Guidance::Flow at which it is set; first: before the others of its stage
    AdjusterKind =
      Value.define(:name, :unit, :drives, :decides, :beside, :stage, :first) do
        # {constant => factor}
        def driven(forwards:) = drives.transform_values { |factor| forwards ? factor : -factor }

        # Whether drives are these, up to a factor.
        def like?(given)
          return false unless !drives.empty? && given.keys.sort == drives.keys.sort

          given.map { |name, factor| factor.fdiv(drives[name]) }.uniq.one?
        end

        def decisions = [*decides, *beside.values]

        # Of some kinds the one that drives exactly this and whether its marks count forwards; nil for drives of no
        # kind, which nobody can choose but a file can hold.
        def self.matching(kinds, drives)
          return AdjusterKind::RECORDED, true if drives.empty?

          kinds.each do |kind|
            return kind, true if kind.drives == drives
            return kind, false if kind.drives == drives.transform_values(&:-@)
          end
          nil
        end
      end

    AdjusterKind::UNITS = %i[mm deg].freeze
    # On every family: its mark is written down and never advised.
    AdjusterKind::RECORDED =
      AdjusterKind.new(name: :recorded, unit: :mm, drives: {}, decides: nil, beside: {}, stage: :recorded, first: false)
  end
end
