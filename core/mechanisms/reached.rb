# frozen_string_literal: true

module Verglas
  module Mechanisms
    # One end of a movement for one joint: which, at how many degrees, whether the machine forces the joint there, and
    # what is aimed at (degrees, within the client's own range).
    Reached = Value.define(:at, :deg, :forced, :target_deg)
  end
end
