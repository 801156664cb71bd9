# frozen_string_literal: true

module Verglas
  # What is said of a body on a machine, as data (Says): one class a mechanism, and the topics of which every family has
  # one sentence. The words are made elsewhere (Formats::Words).
  module Telling
    # The Voice of a mechanism. mechanics: a Mechanism; place: its Place, nil for what is said of the machine alone.
    def self.of(mechanics, place = nil) = Mechanisms.room(self, mechanics).new(mechanics, place)
  end
end
