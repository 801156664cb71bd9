# frozen_string_literal: true

module Verglas
  module Telling
    # What a press says: all of it is the rail's.
    class LegPress < Rail
    end
  end
end
