# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What a client is allowed and spared at every set, in sentences: where the movement starts and ends, how the first
      # repetition is done, which load is the most. The same on bench, set-up list, hand-over and record.
      module Allowed
        module_function

        def of(bench) = [*start(bench), ending(bench), *manner(bench), *load(bench)].compact

        # Only where the client's own range says so: else the house rule has said it.
        def start(bench)
          from, upto = bench.envelope[:knee_flexion]
          straightens = bench.machine.family.side.positive?
          return upto && [words(:start_at_most, deg: upto.round)] if straightens

          from && [words(:start_at_least, deg: from.round)]
        end

        # Where the client turns back.
        def ending(bench)
          target = bench.mechanics.end_target_deg
          return words(target.positive? ? :end_short : :end_straight, deg: target.round) if bench.machine.family.side.positive?

          return words(:stop_at, deg: target.round) if bench.mechanics.end_limited?

          words(target == 90 ? :end_about_right_angle : :end_at, deg: target.round)
        end

        def manner(bench)
          effect = bench.caution_effect
          [*(%i[half_first light_careful].map { |key| words(key) } if effect.careful), *(words(:no_holds) if effect.no_holds)]
        end

        # The least of what clinicians allow, and of what goes without a belt.
        def load(bench)
          limit = bench.load_limit_kg
          return unless limit
          return words(:load, **amount(bench, limit)) if limit == bench.caution_effect.load_limit_kg

          bench.client[:body_mass_kg] ? words(:load_unbelted, **amount(bench, limit)) : words(:load_unknown)
        end

        # In the unit that is printed on the machine, never rounded upwards.
        def amount(bench, mass_kg)
          pounds = bench.rig&.unit == :lb
          { kg: Loads.number((pounds ? Loading::Units.lb(mass_kg) : mass_kg).floor(1)), unit: pounds ? "lb" : "kg" }
        end

        def words(key, **params) = Formats::Words.say("allowed.#{key}", **params)
        private_class_method :start, :manner, :words
      end
    end
  end
end
