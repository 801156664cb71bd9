# frozen_string_literal: true

module Verglas
  module Scenes
    # A rail with a plate, a closed leg on it at the working bottom and, as a ghost, at the top; the stops; and the
    # plate seen from the front with the heights at which the heels may stand.
    class Rail < Picture
      PLATE_MM = 34
      RAIL_MM = 18
      TICK_MM = 26
      # Poses between the bottom and the top for who moves it by hand.
      POSES = 11

      def pictured_at = :bottom

      private

      def ends = mechanics.ends
      def top = mechanics.top(place)
      def bottom = mechanics.bottom(place)
      def turning = mechanics.turning(place)
      def window = mechanics.window(place)
      def leg = mechanics.leg(place)

      def pictured
        sketch = Sketch.new
        low = turning
        draw_machine(sketch)
        draw_leg_on_plate(sketch, top, "_at_top", ghost: true)
        # The whole range, where less of it is gone through today.
        draw_plate(sketch, mechanics.whole_bottom(place).state, "_whole", ghost: true) unless mechanics.grown?
        draw_trunk(sketch, low)
        draw_moving(sketch, low)
        draw_joints(sketch, low)
        draw_end(sketch)
        Scene.of(
          effort: Effort.of(mechanics, place, "effort.of_the_most"),
          window: window_of,
          floor: floor,
          fade: fade,
          parts: sketch.parts.freeze,
          dimensions: dimensions,
          targets: [],
          lens: nil,
          points: tape_points,
          labels: labels,
          poses: poses,
          plate: plate_from_front
        )
      end

      # What moves, at bends from the bottom to the top: {share: 0 at the bottom, parts: [Part], deg: {motion => bend}}.
      # What lies on the plate is one piece, and so is what goes with the hip: each is drawn at the bottom and carried
      # along.
      def poses
        low = turning
        on_plate =
          places_drawn do |sketch|
            draw_plate(sketch, low)
            draw_foot(sketch, low)
          end
        at_hip = places_drawn { |sketch| draw_at_hip(sketch, low) }
        posed_along(POSES) do |share, sketch|
          state = mechanics.along(place, share)
          sketch.carried(at_hip, hip_at(state) - hip_at(low))
          sketch.carried(on_plate, plate_at(state) - plate_at(low))
          draw_leg(sketch, state)
          { deg: bends(state), limits: bend_limits, split: mechanics.split(place, state) }
        end
      end

      def bends(state)
        { hip_flexion: state.hip_bend_deg, knee_flexion: state.knee_bend_deg, ankle_dorsiflexion: state.ankle_bend_deg }
      end
      def bend_limits
        { hip_flexion: mechanics.hip_limit_deg, knee_flexion: window.target_deg, ankle_dorsiflexion: window.cap_deg }
      end

      def draw_moving(sketch, state)
        draw_at_hip(sketch, state)
        draw_leg_on_plate(sketch, state)
      end

      # A carriage; where the seat stands still, nothing.
      def draw_at_hip(_sketch, _state) = nil

      def draw_leg_on_plate(sketch, state, suffix = "", **how)
        draw_plate(sketch, state, suffix, **how)
        draw_leg(sketch, state, suffix, **how)
        draw_foot(sketch, state, suffix, **how)
      end

      def draw_joints(sketch, state)
        { hip: hip_at(state), knee: drawn(state, state.knee), ankle: drawn(state, state.ankle) }.each do |id, at|
          sketch.circle(id, :joint, at, 8, moves: true)
        end
      end

      def draw_plate(sketch, state, suffix = "", **how)
        low, high = plate_ends(state)
        sketch.board(
          :"plate#{suffix}",
          :machine,
          low,
          high,
          PLATE_MM,
          moves: true,
          of: %i[plate_angle plate_length plate_y],
          **how
        )
      end

      # From the plate's lower edge to its upper one.
      def plate_ends(state)
        lower = on_rail_of_plate(state)
        [lower, lower + (up_the_plate * plate_length_mm)].map { |point| drawn(state, point) }
      end

      def plate_length_mm = place[:plate_length]

      def on_rail_of_plate(state) = Geometry::Point.new(state.x_mm, leg.plate_y_mm)
      def plate_at(state) = drawn(state, on_rail_of_plate(state))
      def up_the_plate = Geometry::Point.towards(-place[:plate_angle])

      def draw_leg(sketch, state, suffix = "", **how)
        hip = hip_at(state)
        knee = drawn(state, state.knee)
        ankle = drawn(state, state.ankle)
        sketch.capsule(
          :"thigh#{suffix}",
          :body,
          [hip, knee],
          [body.hip_rise, body.knee_front * Limbs::THIGH_END],
          moves: true,
          **how
        )
        Limbs.new(body).shin(sketch, knee, ankle, body.shank * 0.6, id: :"shin#{suffix}", **how)
      end

      def draw_foot(sketch, state, suffix = "", **how)
        ankle = drawn(state, state.ankle)
        up = (drawn(state, state.ankle + up_the_plate) - ankle).unit
        limbs = Limbs.new(body)
        under =
          limbs.planted_foot(
            sketch,
            ankle,
            towards: up,
            out: up.front * -1,
            sole_mm: wishes[:sole_mm],
            suffix: suffix,
            **how
          )
        limbs.underfoot(sketch, :"block#{suffix}", under, up.front * -1, block_mm, **how) if block_mm.positive?
      end

      # What lies between shoe and plate.
      def block_mm = mechanics.sole_mm - wishes[:sole_mm]

      # The number between the stop and the bottom, along the rail, where neither marks nor body are.
      def dimensions
        ends_at = [mechanics.from_hip(place, ends), bottom.x_mm]
        stop, turn = ends_at.map { |x| under_plate(x, number_off) }
        at =
          under_plate(ends_at.max, number_off) +
            Geometry::Point.new(number_side == :start ? 26 : -26, number_side == :start ? 0 : -30)
        [
          Dimension.new(
            of: mechanics.stop_finding,
            from: stop,
            to: turn,
            at: at,
            anchor: number_side,
            value: mechanics.slack_mm(place),
            unit: :mm
          )
        ]
      end

      # Every mark of what moves the stop, beside the rail.
      def labels
        @labels ||=
          mechanics
            .machine
            .adjusters
            .select { |adjuster| adjuster.drives?(ends) }
            .flat_map { |adjuster| labels_of(adjuster) }
      end

      def labels_of(adjuster)
        here = place[ends]
        travels = adjuster.travel.map { |travel| adjuster.drives[ends] * travel }
        set = travels.min_by { |travel| (mechanics.machine.constants[ends] + travel - here).abs }
        adjuster
          .marks
          .zip(travels)
          .map do |mark, travel|
            x = here + travel - set - mechanics.hip(place).s
            Label.new(text: mark, at: under_plate(x, TICK_MM + 26), set: travel == set, of: adjuster.label)
          end
      end

      # Ticks for those marks, and the stop that is set.
      def draw_end(sketch)
        labels.each_with_index do |label, index|
          next if label.set

          sketch.line(:"notch_#{index}", :frame, *tick(label.at), width: 6, of: [ends])
        end
        x = mechanics.from_hip(place, ends)
        sketch.line(
          :stop,
          :target,
          under_plate(x, -TICK_MM),
          under_plate(x, TICK_MM),
          width: 12,
          moves: true,
          of: [ends]
        )
      end

      def tick(at)
        towards = (under_plate(0.0, 0) - under_plate(0.0, TICK_MM)).unit
        [at + (towards * 26), at + (towards * (26 + TICK_MM))]
      end

      # The plate as one sees it standing before it: its length, the foot on it and the heights (mm) at which the heels
      # may stand; what closes them, in words. nil where the plate is shorter than a foot.
      def plate_from_front
        seen = window
        return unless seen.plate_mm

        range = seen.empty? ? [nil, nil] : [seen.low_mm, seen.high_mm]
        heights = { heel_mm: mechanics.foot_mm(place), low_mm: range.first, high_mm: range.last }
        voice = Telling.of(mechanics, place)
        Plate.new(**sizes, **feet, **heights, says: voice.window_says, closed: voice.closed_says, choice: :foot_mm)
      end

      def sizes
        {
          length_mm: place[:plate_length],
          width_mm: place[:plate_width],
          foot_mm: body.foot,
          shoe_mm: Linkages::Stance::FIGURES[:shoe_mm]
        }
      end
      def feet = { **mechanics.settled(place), **wishes.values.compact }.slice(:stance_mm, :turn_deg)
    end
  end
end
