# frozen_string_literal: true

module Verglas
  module Machines
    # What a family does with one joint of the client (a motion of Body::Envelope, degrees).
    #   forced, free   names of the ends of the movement: where the machine puts the joint there by itself, and where the client
    #                  decides when to turn back
    #   stop           a constant that ends the movement: where an adjuster moves it, the free end is forced; nil for none
    #   held_deg       where the machine holds the joint, whatever the marks (working figure); nil where it moves
    JointMotion = Value.define(:motion, :forced, :free, :stop, :held_deg)
  end
end
