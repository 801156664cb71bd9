# frozen_string_literal: true

module Verglas
  module Mechanisms
    class PivotArm < Mechanism
      # Where the movement is to start and end, over the whole range and today (degrees of knee bend), and what one load
      # asks in between.
      module Ends
        # What is aimed at over the whole range, cut to what the client's knee may do: the bend at the start, and at the
        # end (degrees).
        def whole_start_deg
          @whole_start_deg ||=
            wishes.clamp(
              :knee_flexion,
              straightens? ? wishes[:start_bend_deg] : clear_of_hamstrings(wishes[:start_bend_deg])
            )
        end
        def whole_end_deg = @whole_end_deg ||= wishes.clamp(:knee_flexion, wanted_end_deg)

        # The same today: where the start can be set it comes nearer to the end, as far as the machine's marks go; where
        # not, one turns back before.
        def start_target_deg
          @start_target_deg ||=
            starts_later? ? today_deg(whole_end_deg, whole_start_deg).clamp(*starts_between_deg) : whole_start_deg
        end
        def end_target_deg
          @end_target_deg ||= grown? || starts_later? ? whole_end_deg : today_deg(whole_start_deg, whole_end_deg)
        end

        # From where the machine begins to where its arc ends.
        def efforts(place)
          return unless family.told.include?(:arm)

          middle = contacts(place)[1].torque_ratio
          angles =
            Array.new(Mechanism::EFFORTS) do |index|
              place[:start_angle] + (arc_deg(place) * index / (Mechanism::EFFORTS - 1.0))
            end
          { knee: angles.map { |deg| [arm_share(place, deg), contact(place, deg).torque_ratio / middle] } }
        end

        def slack_share(place)
          slack = wishes.slack_from_deg
          slack && !straightens? && family.told.include?(:arm) ? arm_share(place, arm_at(slack, place)) : nil
        end

        def arc_deg(place) = place[:end_angle] - place[:start_angle]

        # Of the way of the arm to where the client turns back.
        def arm_share(place, arm_deg)
          way = turning(place).first - place[:start_angle]
          way.zero? ? 0.0 : (arm_deg - place[:start_angle]) / way
        end

        private

        def starts_later? = !grown? && machine.driven?(:start_angle)

        # Bends of a knee on the pivot between which the machine's marks can start it.
        def starts_between_deg
          bends =
            machine
              .reach(:start_angle)
              .minmax
              .map do |arm_deg|
                at =
                  Linkages::RollerContact.at(
                    knee: Geometry::Point.new(0.0, 0.0),
                    reach_mm: machine.constants[:roller_reach],
                    clearance_mm: machine.constants[:roller_radius] + body.calf_half,
                    side: side,
                    arm_deg: arm_deg
                  )
                knee_bend_deg(at.shin_deg)
              end
          [*bends, whole_start_deg].minmax
        end

        def wanted_end_deg
          straightens? ? clear_of_hamstrings(wishes[:end_bend_deg]) : clear_of_slack(wishes[:end_bend_deg])
        end

        # Seated, hamstrings may stop the knee before it is straight.
        def clear_of_hamstrings(bend_deg)
          stopped = wishes.values[:knee_straight_deg]
          stopped ? [bend_deg, stopped + TABLE[:hamstrings][:clear_by_deg]].max : bend_deg
        end

        # Of a movement that bends; one that straightens ends where nothing goes slack.
        def clear_of_slack(bend_deg)
          slack = wishes.slack_from_deg
          slack && !straightens? ? [bend_deg, slack - CLEAR_OF_SLACK_DEG].min : bend_deg
        end
      end
    end
  end
end
