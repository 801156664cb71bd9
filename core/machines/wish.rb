# frozen_string_literal: true

module Verglas
  module Machines
    # What is aimed at on a family, in the unit its name ends with: the default (nil: nothing), and which of two is the
    # stricter (:min or :max; nil where neither is); measured_as: the limit (Guidance::Limits) that stands in its place
    # once it was measured, nil for none.
    Wish =
      Value.define(:name, :default, :stricter, :measured_as) do
        def stricter_of(values)
          stricter ? values.public_send(stricter) : raise(ArgumentError, "#{name}: neither is stricter")
        end
      end
  end
end
