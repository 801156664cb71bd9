# frozen_string_literal: true

module Verglas
  module Body
    # A way of taping a person: reading = row . parameters + noise, in mm. Barefoot, all of them.
    Observation = Value.define(:name, :row, :sd_mm) do
      def self.fetch(name)
        Observation::ALL.fetch(name.to_sym) { raise Invalid.new(:unknown_observation, name: name.to_s) }
      end

      # Stature is held to plain limits; a reading of anything else to what the body makes likely.
      def limits_mm = name == :stature ? Range.new(*Tables[:body][:stature_range_mm].values_at(:low, :high)) : nil
    end

    Observation::ALL = Tables[:body][:observations].to_h do |entry|
      name = entry[:name].to_sym
      [name, Observation.new(name: name, row: row(entry[:row]), sd_mm: entry[:sd])]
    end.freeze
  end
end
