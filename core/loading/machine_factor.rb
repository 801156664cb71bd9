# frozen_string_literal: true

module Verglas
  module Loading
    # How much heavier a machine is than it says: effective = printed times e to this. Learned from what people lift on
    # it against what they are able to by everything else. docs/model.md section 13
    MachineFactor =
      Value.define(:mean, :sd) do
        # people: [[Strength::Person, [Lifted]]]; factors: of the other machines.
        def self.learned(machine, action, people, factors: {})
          of(people.filter_map { |person, sets| reading(machine, action, person, sets, factors: factors) })
        end

        # readings: [[value, variance]], one a person.
        def self.of(readings)
          prior = Tables[:strength][:factor]
          precision = (1 / (prior[:sd]**2)) + readings.sum { |_, variance| 1 / variance }
          new(
            mean: readings.sum { |value, variance| value / variance } / precision,
            sd: [1 / Math.sqrt(precision), prior[:least_sd]].max
          )
        end

        # [value, variance] of somebody's latest set there; nil where it was not clean, or there is none.
        def self.reading(machine, action, person, sets, factors: {})
          own = sets.each_with_index.select { |set, _| set.machine == machine }
          latest = own.max_by { |set, index| [set.week, index] }&.first
          return unless latest&.clean?

          elsewhere = sets.select { |set| set.week <= latest.week && set.machine != machine }
          strength = Strength.new(person, elsewhere, now: latest.week, factors: factors)
          [strength.mean(action) - latest.reading, strength.variance(action) + latest.variance]
        end
      end
  end
end
