# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What a client is allowed and spared at every set, in sentences: where the movement starts and ends, how the first
      # repetition is done, which load is the most. The same on bench, set-up list, hand-over and record.
      module Allowed
        module_function

        def of(meeting) = [*start(meeting), *ending(meeting), *intent(meeting), *unmeasured(meeting), *manner(meeting), *load(meeting)].compact

        # What decides what is done: hips that move, or a spine.
        def intent(meeting) = Guidance::HouseRules.on_card(meeting.machine.family).map { |question| Rules.sentence(question.name, meeting.rules[question.name]) }

        # Only where the client's own range says so: else the house rule has said it.
        def start(meeting) = in_words(meeting.mechanics.starts_says(meeting.envelope))

        # Where the client turns back; nil where nothing is told of it.
        def ending(meeting) = in_words(meeting.mechanics.ends_says)

        # Limits that decide something here and were never measured: what holds until they are; not where a caution says less already.
        def unmeasured(meeting)
          hard = meeting.safety.hard(meeting.machine.family)
          open = meeting.machine.family.wishes.each_value.filter_map(&:measured_as).reject { |limit| meeting.safety.measured.key?(limit) }.map { |limit| Guidance::Limits.fetch(limit) }
          open.reject { |limit| hard.to(limit.motion)&.<=(limit.default_deg) }.map do |limit|
            deg = limit.default_deg
            Formats::Words.maybe("allowed.unmeasured_#{limit.name}", deg: deg) || words(:unmeasured, limit: Formats::Words.say("limits.#{limit.name}.title"), deg: deg)
          end
        end

        def in_words(says) = says && Formats::Words.of(says)

        def manner(meeting)
          effect = meeting.caution_effect
          [*(%i[half_first light_careful].map { |key| words(key) } if effect.careful), *(words(:no_holds) if effect.no_holds)]
        end

        # The least of what clinicians allow, and of what goes without a belt.
        def load(meeting)
          limit = meeting.load_limit_kg
          return unless limit
          return words(:load, **amount(meeting, limit)) if limit == meeting.caution_effect.load_limit_kg

          meeting.client[:body_mass_kg] ? words(:load_unbelted, **amount(meeting, limit)) : words(:load_unknown)
        end

        # In the unit that is printed on the machine, never rounded upwards.
        def amount(meeting, mass_kg)
          pounds = meeting.rig&.unit == :lb
          { kg: Load.number((pounds ? Loading::Units.lb(mass_kg) : mass_kg).floor(1)), unit: pounds ? "lb" : "kg" }
        end

        def words(key, **params) = Formats::Words.say("allowed.#{key}", **params)
        private_class_method :start, :intent, :unmeasured, :in_words, :manner, :words
      end
    end
  end
end
