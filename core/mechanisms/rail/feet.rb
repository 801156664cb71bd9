# frozen_string_literal: true

module Verglas
  module Mechanisms
    class Rail < Mechanism
      # Where the feet may stand on their plate, and what a share of their window does to knee and hip.
      module Feet
        # The feet at a share of their window, as far as that may be used: {foot_mm:, knee:, hip:} (of a hundred, at the
        # bottom), and how far the heels then are from either end of it (mm).
        def at_share(place, share)
          settling(foot_share: share, foot_mm: nil).standing_at(place.parameters)
        end

        def standing_at(parameters)
          place = place(parameters)
          seen = window(place)
          {
            foot_mm: foot_mm(place),
            **split(place, bottom(place).state),
            room_down_mm: foot_mm(place) - seen.low_mm,
            room_up_mm: seen.high_mm - foot_mm(place)
          }
        end

        private

        # A share of the feet's window within what may be used of it until hip and ankle are this client's own.
        def kept_share(share)
          least, most = TABLE[:unmeasured].values_at(:lowest_share, :highest_share)
          share = [share, most].min unless hip_known?
          ankle_known? ? share : [share, least].max
        end

        def hip_known? = wishes.known?(:hip_bend, :hip_flexion)
        def ankle_known? = wishes.known?(:ankle, :ankle_dorsiflexion)

        # Where the feet may be placed: on the plate, and until a limit of this client is known not towards where it
        # would come first.
        def feet_between(place)
          seen = window(place)
          plate = seen.plate_mm or return 0.0, 0.0
          return seen.heel_mm, seen.heel_mm if seen.empty?

          least, most = [0.0, 1.0].map { |share| seen.heel_mm(kept_share(share)) }
          [ankle_known? ? plate.min : least, hip_known? ? plate.max : most]
        end

        # With an ankle caution the feet stay in the middle of the plate or above.
        def lowest_mm(place) = wishes[:lowest_share] * [place[:plate_length] - body.foot, 0.0].max
      end
    end
  end
end
