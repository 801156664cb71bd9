# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A belt squat: the load hangs from a belt by a chain of links. Heights over the floor, mm. It leaves its catch when the client
    # stands tall, stays off the floor at the deepest squat, and is clipped on with a shallow one. docs/model.md section 5.
    class BeltSquat < Mechanism
      include BeltSquat::Drawing

      FIGURES = Tables[:press][:belt]
      BODY_PARAMETERS = %i[ankle_height shank thigh].freeze
      # without: how one does without the machine (its care is said before anybody steps up); nil for the machine itself.
      TRAITS = %i[without].freeze

      # The ring of the belt over the floor, the client standing tall; and how far it sinks to the deepest squat (mm).
      def ring_mm(place) = body.ankle_height + wishes[:sole_mm] + wishes[:mat_mm] + body.shank + body.thigh + FIGURES[:ring_over_hip_mm] - place[:belt_drop] + raised_mm(place)

      # What the client stands on.
      def raised_mm(place) = place.parameters.fetch(:box_height, 0.0)

      def warnings = family.traits[:without] ? [Says.of("care.#{family.traits[:without]}")] : []
      def drop_mm = body.thigh + (body.shank * (1 - Math.cos(Geometry::Angle.radians(ankle_limit_deg))))
      def ankle_limit_deg = @ankle_limit_deg ||= wishes.clamp(:ankle_dorsiflexion, wishes[:ankle_limit_deg])

      # Longer, and the load stays on its catch or meets the floor; shorter, and one squats deep to clip it (mm).
      def longest_mm(place)
        [ring_mm(place) - place[:catch_height] - FIGURES[:lift_mm], ring_mm(place) - drop_mm - place[:lowest_anchor] - FIGURES[:bottom_mm]].min
      end

      def shortest_mm(place) = ring_mm(place) - (FIGURES[:clip_share] * drop_mm) - place[:catch_height]

      # The most links that are not too long, 0 where none is; and the fewest with which one still clips on.
      def most_links(place) = ((longest_mm(place) - place[:hook_length]) / place[:link_pitch]).floor.clamp(0, place[:links].to_i)
      def fewest_links(place) = [1, ((shortest_mm(place) - place[:hook_length]) / place[:link_pitch]).ceil].max

      # As short as still can be clipped.
      def link(place) = wishes[:link] || best_link(place)
      def best_link(place) = [fewest_links(place), most_links(place)].min.clamp(1..)
      def chain_mm(place) = place[:hook_length] + (link(place) * place[:link_pitch])

      # What the load leaves its catch by, what is left under it at the deepest, and how deep one squats to clip it, against what is
      # shallow (mm).
      def lift_mm(place) = ring_mm(place) - chain_mm(place) - place[:catch_height]
      def bottom_room_mm(place) = ring_mm(place) - drop_mm - chain_mm(place) - place[:lowest_anchor]
      def clip_room_mm(place) = (FIGURES[:clip_share] * drop_mm) - lift_mm(place)

      def settled(place) = wishes[:link] ? {} : { link: best_link(place) }
      def span(_choice, place) = [1, place[:links].to_i]

      def findings(_group, place)
        none = most_links(place) < 1
        [grade(:chain_lift, lift_mm(place), lift_mm(place), lift_fault(place, none)), *findings_below(place, none)]
      end

      def findings_below(place, none)
        [grade(:chain_bottom, bottom_room_mm(place), bottom_room_mm(place), (:bottoms_out if none && bottom_room_mm(place) < FIGURES[:bottom_mm])), grade(:chain_clip, clip_room_mm(place))]
      end

      def quantities_of(_group, place)
        { ring_mm: ring_mm(place), drop_mm: drop_mm, longest_mm: longest_mm(place), shortest_mm: shortest_mm(place), chain_mm: chain_mm(place),
          whole_chain_mm: place[:hook_length] + (place[:links] * place[:link_pitch]), lift_mm: lift_mm(place), bottom_room_mm: bottom_room_mm(place), clip_room_mm: clip_room_mm(place),
          clip_squat_mm: lift_mm(place) }
      end

      def report(place)
        { ring_mm: ring_mm(place), drop_mm: drop_mm, mat_mm: wishes[:mat_mm], link: link(place), fewest_links: fewest_links(place), most_links: most_links(place), lift_mm: lift_mm(place),
          bottom_room_mm: bottom_room_mm(place), clip_squat_mm: lift_mm(place), fits: most_links(place) >= 1, missing_mm: [chain_of(1, place) - longest_mm(place), 0.0].max }
      end

      # The knee, to nearly straight; where it is a hinge instead, nothing of it is told.
      def lead(place)
        deepest = ranges(place)[:knee_flexion].first.target_deg
        Quickening::Lead.new(motion: :knee_flexion, from_deg: deepest, upto_deg: ClosedLeg::TOP_BEND_DEG) unless family.traits[:without] == :floor_hinge
      end

      # The client decides how deep.
      def ranges(_place)
        knee = 90.0 + ankle_limit_deg
        { knee_flexion: [Reached.new(at: :bottom, deg: knee, forced: false, target_deg: wishes.clamp(:knee_flexion, knee))],
          ankle_dorsiflexion: [Reached.new(at: :bottom, deg: ankle_limit_deg, forced: false, target_deg: ankle_limit_deg)] }
      end

      # A thigh that is level at the deepest, unless the knee is to bend less.
      def end_limited? = !knee_limit_deg.nil?
      def ends_says = knee_limit_deg && Says.of("allowed.knees_to_standing", deg: knee_limit_deg.round)
      def knee_limit_deg = wishes.envelope.to(:knee_flexion)
      def step_numbers = {}

      def says(finding, _place)
        good = finding.severity.zero?
        Says.of("says.#{finding.code}.#{good ? "right" : finding.fault || "wrong"}", mm: finding.value.abs.round)
      end

      def short(_decision, place) = Says.of("short.link", mm: lift_mm(place).round)

      private

      def lift_fault(place, none)
        return :no_such_link unless link(place).between?(1, place[:links])

        :load_stays_on_catch if none && lift_mm(place) < FIGURES[:lift_mm]
      end

      def chain_of(links, place) = place[:hook_length] + (links * place[:link_pitch])
    end
  end
end
