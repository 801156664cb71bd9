# frozen_string_literal: true

module Verglas
  module Loading
    # Today's load from the log, and why. docs/model.md sections 11 and 14.
    #   choice   of the machine's Stack or Plates
    #   reason   :nothing_known, :half_of_both, an outcome of the last visit (Visit), or what keeps an easy one from a
    #            step up: :pad_moved, :failed_above, :limited, :at_the_end, :kept_in_hand, :hard_in_hand,
    #            :measure_straight, :gap, :long_gap
    #   count    of the sets that decided
    NextLoad =
      Value.define(:choice, :reason, :count) do
        const_set(
          :MOVES,
          {
            joint: :light,
            sign: :next_down,
            short: :next_down,
            not_reached: :next_down,
            unsaid: :nearest,
            clean: :nearest,
            easy: :next_up
          }.freeze
        )

        # choices: Stack or Plates; last: the latest Visit, nil where there was none; pad: as the machine stands today
        # (Visit); limit_kg: the heaviest that is allowed, nil where nothing limits it; light_share: of the usual light
        # set, where a caution asks for less. in_hand: whether a caution keeps repetitions in hand: then easy holds, and
        # hard goes down; gap: since the last set of this action (Gap); measure: whether a limit is to be measured
        # before missing range takes a load down.
        def self.today(
          choices,
          last,
          pad: {},
          limit_kg: nil,
          light_share: nil,
          in_hand: false,
          gap: Gap.none,
          measure: false
        ) # rubocop:disable Metrics/ParameterLists -- each holds or moves it
          anew = !last&.load_kg || gap.begins_anew?
          if anew
            return(
              new(
                choice: within(choices, choices.lightest, limit_kg),
                reason: last&.load_kg ? :long_gap : :nothing_known,
                count: 0
              )
            )
          end

          after =
            AfterVisit.new(
              choices,
              last,
              pad: pad,
              limit_kg: limit_kg,
              light_share: light_share,
              in_hand: in_hand,
              gap: gap,
              measure: measure
            )
          new(**after.to_h, count: last.deciding.size)
        end

        # One leg that was never tried alone: half of what both lift, at most.
        def self.one_leg(choices, both_kg, limit_kg: nil)
          half = choices.at_most(Remarks.one_leg_most_kg(both_kg)) || choices.lightest
          new(choice: within(choices, half, limit_kg), reason: :half_of_both, count: 0)
        end

        # The heaviest of those up to a choice that is allowed; the lightest where none is.
        def self.within(choices, choice, limit_kg)
          over?(choice, limit_kg) ? choices.at_most(limit_kg) || choices.lightest : choice
        end

        def self.over?(choice, limit_kg) = !limit_kg.nil? && choice.mass_kg > limit_kg + Choices::ROUNDING_KG
      end
  end
end
