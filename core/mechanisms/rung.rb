# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A rung of what may become harder: what it aims at (names of Wishes); deg: of the bench, nil where that is not
    # turned; held_kg, band_n: what is held, and what a band takes off; top_nm: what it asks where it is hardest to end
    # (N m).
    Rung = Value.define(:wishes, :deg, :held_kg, :band_n, :top_nm)
  end
end
