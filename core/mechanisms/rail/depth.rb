# frozen_string_literal: true

module Verglas
  module Mechanisms
    class Rail < Mechanism
      # How the depth of a rail's movement is graded: against what is wanted, or what a limit leaves of it.
      module Depth
        # What of the body ends a movement, and the motions whose limits do.
        ENDED_BY = { hip: %i[hip_flexion], knee: %i[knee_flexion], ankle: %i[ankle_dorsiflexion], toes: [] }.freeze

        def as_allowed?(place) = ENDED_BY.fetch(deepest(place).by, []).any? { |motion| wishes.hard.to(motion) }

        private

        def depth(place)
          room = depth_room_deg(place)
          found = grade(:knee_depth, room, deep_enough?(place, room) ? 0.0 : room, depth_fault(place))
          # What an upright back takes of the depth is asked for.
          upright? && !found.fault ? found.softened(severity: 1, cost: found.cost) : found
        end

        # What a caution or a clinician leaves is the target; so is what the body leaves where as much as that is
        # wanted.
        def deep_enough?(place, room)
          room.abs < Linkages::FootWindow::TOUCHES || (room.negative? && (as_allowed?(place) || to_the_limit?(place)))
        end
        def to_the_limit?(place)
          wishes[:target_bend_deg] >= TABLE[:depth][:pelvis_deg] && ENDED_BY.key?(deepest(place).by)
        end

        def depth_fault(place)
          return :not_upright if reclined_too_far?(place)

          low, high = window(place).plate_mm
          return :plate_short if high.nil?
          return :feet_off_the_plate unless foot_mm(place).between?(low - 0.5, high + 0.5)

          :leg_too_short unless startable?(place)
        end

        # Half a degree is what a mark may be off. Where even the most upright back lies flat, none serves.
        def reclined_too_far?(place)
          return false unless upright? && @machine.constants.key?(:trunk_angle)

          trunk_deg(place) > @machine.reach(:trunk_angle).min + 0.5 ||
            180 - trunk_deg(place) - place[:rail_incline] < TABLE[:upright][:least_deg] - 0.5
        end
      end
    end
  end
end
