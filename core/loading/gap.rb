# frozen_string_literal: true

module Verglas
  module Loading
    # How long somebody has not done an action, and what that takes off the next load. docs/model.md section 11.
    #   weeks   since its last set, on whichever machine; 0 where nothing is known of another
    #   anew    whether an illness, an operation or a birth lies since then
    Gap =
      Value.define(:weeks, :anew) do
        def self.none = new(weeks: 0.0, anew: false)

        # As one of whom nothing is known; no step up.
        def begins_anew? = anew || weeks > Gap::FIGURES[:anew_after_weeks]
        def holds_down? = weeks > Gap::FIGURES[:after_weeks]

        # At most this share of the last load.
        def share
          lost = Gap::FIGURES[:lost_a_week] * [weeks - Gap::FIGURES[:free_weeks], 0].max
          [Math.exp(-lost), Gap::FIGURES[:least_share]].max
        end
      end

    Gap::FIGURES = Tables[:loads][:gap]
  end
end
