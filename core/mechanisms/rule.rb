# frozen_string_literal: true

module Verglas
  module Mechanisms
    # What decides where an adjuster should stand: the unit, how many taped constants stand in the sum, the place which
    # some marks give (position: Place -> number), and the place a body asks for (required: mechanism, Place -> number;
    # nil where none is asked for, and what the mechanism prefers decides).
    Rule =
      Value.define(:unit, :constants, :position, :required) do
        # One that is read off a single constant.
        def self.of(constant, unit: :mm, constants: 1, &required)
          new(unit: unit, constants: constants, position: ->(at) { at[constant] }, required: required)
        end
      end
  end
end
