# frozen_string_literal: true

module Verglas
  module Fitting
    # What decides where an adjuster should stand: the unit, how many taped constants stand in the sum, the place which
    # some marks give (position: parameters -> number), and the place a body asks for (required: mechanics, parameters -> number).
    Rule = Value.define(:unit, :constants, :position, :required)
  end
end
