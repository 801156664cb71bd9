# frozen_string_literal: true

module Verglas
  # What a mechanism's numbers look like: one class a mechanism, which draws what the physics says and computes none of
  # it.
  module Scenes
    # The Picture of a body on a machine. mechanics: a Mechanism; place: its Place.
    def self.of(mechanics, place) = Mechanisms.room(self, mechanics).new(mechanics, place)
  end
end
