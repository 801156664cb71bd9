# frozen_string_literal: true

module Verglas
  module Body
    # A way of taping a person: reading = row . parameters - lost . what the years took of the stature + noise, in mm.
    # Barefoot, all of them.
    Observation =
      Value.define(:name, :row, :sd_mm, :lost) do
        def self.fetch(name)
          Observation::ALL.fetch(name.to_sym) { raise Invalid.new(:unknown_observation, name: name.to_s) }
        end

        # What a reading of somebody lacks of what it would have been at thirty (mm); and its SD, the tape's with that
        # of the loss.
        def lacks_mm(build) = lost * build.loss_mm
        def sd_for(build) = lost.zero? ? sd_mm : Math.sqrt((sd_mm**2) + ((lost * build.loss_sd_mm)**2))

        # Stature is held to plain limits; a reading of anything else to what the body makes likely.
        def limits_mm = name == :stature ? Range.new(*Tables[:body][:stature_range_mm].values_at(:low, :high)) : nil
      end

    Observation::ALL =
      Tables[:body][:observations]
        .to_h do |entry|
          name = entry[:name]
          [name, Observation.new(name: name, row: row(entry[:row]), sd_mm: entry[:sd], lost: entry[:lost])]
        end
        .freeze
  end
end
