# frozen_string_literal: true

module Verglas
  module Mechanisms
    # What decides where an adjuster should stand: the unit, how many taped constants stand in the sum, the place which
    # some marks give (position: Place -> number), and the place a body asks for (required: mechanism, Place -> number;
    # nil where none is asked for, and what the mechanism prefers decides). follows: {body parameter => factor} of the
    # length that the place grows or falls with, where nobody taped the machine; {} for none.
    Rule =
      Value.define(:unit, :constants, :position, :required, :follows) do
        # One that is read off a single constant.
        def self.of(constant, unit: :mm, constants: 1, follows: {}, &required)
          new(unit: unit, constants: constants, position: ->(at) { at[constant] }, required: required, follows: follows)
        end
      end
  end
end
