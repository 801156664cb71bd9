# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What a client is allowed and spared at every set, in sentences: where the movement starts and ends, how the
      # first repetition is done, which load is the most. The same on bench, set-up list, hand-over and record.
      module Allowed
        module_function

        # evaluation: at the marks that stand; as advised where none do.
        def of(meeting, evaluation = meeting.advice.evaluation)
          [
            *range(meeting, evaluation),
            *start(evaluation),
            *ending(meeting, evaluation),
            *Topics.on_card(meeting),
            *unmeasured(meeting),
            *Manner.figures(meeting.caution_effect, meeting),
            *load(meeting)
          ]
        end

        # Of that, what is between staff: what is still to be measured, and how much a clinician, by name, allows.
        def between_staff(meeting) = [*unmeasured(meeting), *load(meeting)]

        # How far one goes at the advised marks.
        def how_far(meeting)
          [*range(meeting, meeting.advice.evaluation), *ending(meeting, meeting.advice.evaluation)]
        end

        # How much of the range today, what sets it, and when there is more; nothing where it is all of it. Nothing of
        # marks where the joint or its arm is not taped.
        def range(meeting, evaluation)
          return if meeting.range_share >= 1

          aids = evaluation.wishes.values.slice(*meeting.machine.family.choices.keys).compact.transform_keys(&:to_s)
          today = RangeToday.new(meeting, evaluation.marks, aids)
          tags = today.whole_tags.map { |tag| "#{Finding.lower(tag[:name])} #{tag[:mark]}" }
          words(
            tags.any? ? :range_today : :range_today_alone,
            share: words("range_shares.#{(meeting.range_share * 100).round}"),
            whole: tags.join(", "),
            count: today.visits_missing
          )
        end

        # Only where the client's own range says so: else the house rule has said it.
        def start(evaluation) = in_words(evaluation.voice.starts)

        # Where the client turns back; nothing where nothing is told of it.
        def ending(meeting, evaluation) = meeting.by_feel? ? [words(:end_by_feel)] : in_words(evaluation.voice.ends)

        # Limits that decide something here and were never measured: what holds until they are; not where a caution, a
        # clinician or another measure has spoken of that joint.
        def unmeasured(meeting)
          given = meeting.envelope.spans.keys.map { |motion| joint(motion) }
          open =
            meeting
              .machine
              .family
              .wishes
              .each_value
              .filter_map(&:measured_as)
              .reject { |limit| meeting.safety.measured.key?(limit) }
              .map { |limit| Guidance::Limits.fetch(limit) }
          open
            .select(&:motion)
            .reject { |limit| given.include?(joint(limit.motion)) }
            .map do |limit|
              deg = meeting.safety.usual_deg(limit)
              Formats::Words.maybe("allowed.unmeasured_#{limit.name}", deg: deg) ||
                words(:unmeasured, limit: Formats::Words.say("limits.#{limit.name}.title"), deg: deg)
            end
        end

        # Heel and ankle are one.
        def joint(motion) = motion.to_s[/[a-z]+/].sub("heel", "ankle")

        def in_words(says) = [says].flatten.compact.map { |one| Formats::Words.of(one) }

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
        private_class_method :start, :unmeasured, :joint, :in_words, :words
      end
    end
  end
end
