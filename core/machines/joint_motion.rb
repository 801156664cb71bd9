# frozen_string_literal: true

module Verglas
  module Machines
    # What a family does with one joint of the client (a motion of Body::Envelope, degrees).
    #   forced, free   names of the ends of the movement: where the machine puts the joint there by itself, and where
    #                  the client decides when to turn back
    #   stop           a constant that ends the movement: where an adjuster moves it, the free end is forced; nil for
    #                  none
    #   held_deg       where the machine holds the joint, whatever the marks (working figure); nil where it moves
    #   soft_to_deg    up to where it may be held instead, softly; nil: nowhere else
    #   groups         the groups of constants from which its angles are computed
    #   by_eye         why no angle of it is claimed, so that it is kept to by eye; nil where one is
    JointMotion =
      Value.define(:motion, :forced, :free, :stop, :held_deg, :soft_to_deg, :groups, :by_eye) do
        def held? = !held_deg.nil?
        def by_eye? = !by_eye.nil?

        # Whether an angle is computed of it.
        def computed? = !held? && !by_eye?

        # Where it is held (degrees) by somebody whose joint moves within this (Body::Envelope): as near as it may be.
        def held_within(envelope)
          soft_to_deg ? envelope.clamp(motion, held_deg).clamp(held_deg, soft_to_deg) : held_deg
        end
      end
  end
end
