# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A belt squat: the load hangs from a belt by a chain of links. Heights over the floor, mm. It leaves its catch when
    # the client stands tall, stays off the floor at the deepest squat, and is clipped on with a shallow one. It is a
    # squat: how deep is a target, cut to what hip and knee allow; the chain is that of thighs level. docs/model.md
    # section 5.
    class BeltSquat < Mechanism
      FIGURES = Tables[:press][:belt]
      BODY_PARAMETERS = %i[ankle_height shank thigh].freeze
      # without: how one does without the machine (its care is said before anybody steps up); nil for the machine
      # itself.
      TRAITS = %i[without].freeze

      # The ring of the belt over the floor (mm), the client standing tall, or as straight as their knees may be.
      def ring_mm(place)
        body.ankle_height + wishes[:sole_mm] + wishes[:mat_mm] + body.shank + body.thigh + FIGURES[:ring_over_hip_mm] -
          place[:belt_drop] + raised_mm(place) - sunk_mm(standing)
      end

      # What the client stands on.
      def raised_mm(place) = place.parameters.fetch(:box_height, 0.0)

      # How far the ring sinks from there with the thighs level, and in a squat (mm).
      def drop_mm = body.thigh + (body.shank * (1 - cos(ankle_limit_deg))) - sunk_mm(standing)
      def drop_at_mm(squat) = sunk_mm(squat) - sunk_mm(standing)

      # How far below standing tall.
      def sunk_mm(squat)
        (body.thigh * (1 - cos(squat.knee_deg - squat.ankle_deg))) + (body.shank * (1 - cos(squat.ankle_deg)))
      end

      # Tall, where no limit of the knee forbids it.
      def standing = @standing ||= squat(wishes.envelope.from(:knee_flexion) || 0.0)

      # How deep this client squats.
      def deepest = @deepest ||= Linkages::Squat.deepest(limits, upto_deg: wanted_deg)
      # Where the client turns today.
      def turning = @turning ||= grown? ? deepest : squat(today_deg(top_deg, deepest.knee_deg))
      def squat(knee_deg) = Linkages::Squat.at(knee_deg, limits)
      def limits
        @limits ||=
          Linkages::Squat::Limits.new(
            knee_deg: knee_limit_deg,
            hip_deg: hip_limit_deg,
            ankle_deg: ankle_limit_deg,
            lean: lean
          )
      end
      def ankle_limit_deg = @ankle_limit_deg ||= wishes.clamp(:ankle_dorsiflexion, wishes[:ankle_limit_deg])
      def hip_limit_deg = @hip_limit_deg ||= wishes.clamp(:hip_flexion, wishes[:hip_limit_deg])
      def knee_limit_deg = wishes.envelope.to(:knee_flexion)

      # As deep as the rule has it, and no deeper than thighs level.
      def wanted_deg = [wishes[:target_bend_deg], Linkages::Squat.level_deg(ankle_limit_deg)].min

      # The bend of the knee with which a set begins and ends.
      def top_deg = [Linkages::ClosedLeg::TOP_BEND_DEG, wishes.envelope.from(:knee_flexion)].compact.max
      def range_left_deg(_place) = turning.knee_deg - top_deg

      # Longer, and the load stays on its catch or meets the floor; shorter, and one squats deep to clip it (mm).
      def longest_mm(place)
        [
          ring_mm(place) - place[:catch_height] - FIGURES[:lift_mm],
          ring_mm(place) - drop_mm - place[:lowest_anchor] - FIGURES[:bottom_mm]
        ].min
      end

      def shortest_mm(place) = ring_mm(place) - shallow_mm - place[:catch_height]

      # How deep one squats to clip it on: a shallow part of the drop, never deeper than this client may (mm).
      def shallow_mm = [FIGURES[:clip_share] * drop_mm, drop_at_mm(deepest)].min

      # The most links that are not too long, 0 where none is; and the fewest with which one still clips on.
      def most_links(place)
        ((longest_mm(place) - place[:hook_length]) / place[:link_pitch]).floor.clamp(0, place[:links].to_i)
      end
      def fewest_links(place) = [1, ((shortest_mm(place) - place[:hook_length]) / place[:link_pitch]).ceil].max

      # By how much even a single link is too long (mm).
      def missing_mm(place) = [chain_of(1, place) - longest_mm(place), 0.0].max

      # As short as still can be clipped.
      def link(place) = wishes[:link] || best_link(place)
      def best_link(place) = [fewest_links(place), most_links(place)].min.clamp(1..)
      def chain_mm(place) = place[:hook_length] + (link(place) * place[:link_pitch])

      # What the load leaves its catch by, what is left under it at the deepest, and how deep one squats to clip it,
      # against what is shallow (mm).
      def lift_mm(place) = ring_mm(place) - chain_mm(place) - place[:catch_height]
      def bottom_room_mm(place) = ring_mm(place) - drop_mm - chain_mm(place) - place[:lowest_anchor]
      def clip_room_mm(place) = shallow_mm - lift_mm(place)
      def clips?(place) = lift_mm(place) <= drop_at_mm(deepest) + TOUCHES_MM

      def settled(place) = wishes[:link] ? {} : { link: best_link(place) }
      def span(_choice, place) = [1, place[:links].to_i]

      def findings(_group, place)
        none = most_links(place) < 1
        [grade(:chain_lift, lift_mm(place), lift_mm(place), lift_fault(place, none)), *findings_below(place, none)]
      end

      def findings_below(place, none)
        [
          grade(
            :chain_bottom,
            bottom_room_mm(place),
            bottom_room_mm(place),
            (:bottoms_out if none && bottom_room_mm(place) < FIGURES[:bottom_mm])
          ),
          grade(:chain_clip, clip_room_mm(place), clip_room_mm(place), (:clips_too_deep unless clips?(place))),
          squat_depth,
          range_left(place)
        ]
      end

      def quantities_of(_group, place)
        {
          **turning.to_h,
          depth_room_deg: depth_room_deg,
          range_left_deg: range_left_deg(place),
          ring_mm: ring_mm(place),
          drop_mm: drop_mm,
          longest_mm: longest_mm(place),
          **chain_quantities(place)
        }
      end

      # The squat at a share of the movement, 0 where the client turns.
      def along(share) = squat(turning.knee_deg + ((top_deg - turning.knee_deg) * share))

      # The load hangs straight below the hips: the knee's lever arm is how far it stands before them.
      def efforts(_place)
        of_the_longest do |share|
          at = along(share)
          { knee: body.thigh * Math.sin(Geometry::Angle.radians(at.knee_deg - at.ankle_deg)) }
        end
      end

      # The knee, to nearly straight.
      def lead(_place) = Lead.new(motion: :knee_flexion, from_deg: turning.knee_deg, upto_deg: top_deg)

      # On the thigh, from standing.
      def laid(_place)
        from, upto = [squat(top_deg), turning].map { |squat| squat.knee_deg - squat.ankle_deg }
        Motion::Laid.new(on: :thigh, from_deg: from, upto_deg: upto, lowers_first: true)
      end

      # The client decides how deep.
      def ranges(_place)
        { bottom: turning, top: squat(top_deg) }.each_with_object({}) do |(at, squat), all|
          {
            knee_flexion: squat.knee_deg,
            hip_flexion: squat.hip_deg,
            ankle_dorsiflexion: squat.ankle_deg
          }.each do |motion, deg|
            (all[motion] ||= []) << Reached.new(at: at, deg: deg, forced: false, target_deg: wishes.clamp(motion, deg))
          end
        end
      end

      # Whether the client's own range ends it before the rule does.
      def end_limited? = deepest.knee_deg < wishes[:target_bend_deg] - ALIKE_DEG

      private

      # Two lengths that come of different sums are one within this.
      TOUCHES_MM = 1e-6
      private_constant :TOUCHES_MM

      # How far forward the trunk goes with the knee, as a share of its bend.
      def lean
        if family.traits[:without] == :belt_boxes
          return Linkages::Squat::Lean.new(share: Linkages::Squat::FIGURES[:lean_share_hung], past_share: 0.0)
        end
        if wishes.hard.to(:hip_flexion)
          return Linkages::Squat::Lean.new(share: Linkages::Squat::FIGURES[:lean_share_given], past_share: 0.0)
        end

        Linkages::Squat::Lean.new(
          share: Linkages::Squat::FIGURES[:lean_share],
          past_share: Linkages::Squat::FIGURES[:past_right_angle_share]
        )
      end

      # What is missing of the depth that is wanted, unless a caution or a clinician took it: then theirs is what is
      # wanted.
      def depth_room_deg = deepest.knee_deg - Linkages::Squat.deepest(hard_limits, upto_deg: wanted_deg).knee_deg
      def hard_limits
        limits.with(
          knee_deg: wishes.hard.to(:knee_flexion),
          hip_deg: wishes.hard.to(:hip_flexion) || Linkages::Squat::OPEN_DEG
        )
      end
      def squat_depth = grade(:squat_depth, depth_room_deg, depth_room_deg.abs < ALIKE_DEG ? 0.0 : depth_room_deg)
      def cos(deg) = Math.cos(Geometry::Angle.radians(deg))

      def lift_fault(place, none)
        return :no_such_link unless link(place).between?(1, place[:links])

        :load_stays_on_catch if none && lift_mm(place) < FIGURES[:lift_mm]
      end

      def chain_quantities(place)
        {
          shortest_mm: shortest_mm(place),
          chain_mm: chain_mm(place),
          whole_chain_mm: chain_of(place[:links], place),
          lift_mm: lift_mm(place),
          bottom_room_mm: bottom_room_mm(place),
          clip_room_mm: clip_room_mm(place),
          clip_squat_mm: lift_mm(place)
        }
      end

      def chain_of(links, place) = place[:hook_length] + (links * place[:link_pitch])
    end
  end
end
