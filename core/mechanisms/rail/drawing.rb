# frozen_string_literal: true

module Verglas
  module Mechanisms
    class Rail < Mechanism
      # A rail with a plate, a closed leg on it at the working bottom and, as a ghost, at the top; the stops; and the plate seen from
      # the front with the heights at which the heels may stand.
      module Drawing
        include Pictured

        PLATE_MM = 34
        RAIL_MM = 18
        TICK_MM = 26
        # Poses between the bottom and the top for who moves it by hand.
        POSES = 11

        def pictured_at = :bottom

        private

        def pictured(place)
          sketch = Scenes::Sketch.new
          low = turning(place)
          draw_machine(sketch, place)
          draw_leg_on_plate(sketch, place, top(place), "_at_top", ghost: true)
          draw_trunk(sketch, place, low)
          draw_moving(sketch, place, low)
          draw_joints(sketch, place, low)
          draw_end(sketch, place)
          Scenes::Scene.of(window: window_of(place), floor: floor(place), fade: fade(place), parts: sketch.parts.freeze, dimensions: dimensions(place), targets: [], lens: nil,
                           points: tape_points(place), labels: labels(place), poses: poses(place), plate: plate_from_front(place))
        end

        # What moves, at bends from the bottom to the top: {share: 0 at the bottom, parts: [Part], deg: {motion => bend}}. What lies on the plate
        # is one piece, and so is what goes with the hip: each is drawn at the bottom and carried along.
        def poses(place)
          low = turning(place)
          on_plate = places_drawn do |sketch|
            draw_plate(sketch, place, low)
            draw_foot(sketch, place, low)
          end
          at_hip = places_drawn { |sketch| draw_at_hip(sketch, place, low) }
          posed_along(POSES) do |share, sketch|
            state = along(place, share)
            sketch.carried(at_hip, hip_at(place, state) - hip_at(place, low))
            sketch.carried(on_plate, plate_at(place, state) - plate_at(place, low))
            draw_leg(sketch, place, state)
            { deg: bends(state), limits: bend_limits(place), split: split(place, state) }
          end
        end

        def bends(state) = { hip_flexion: state.hip_bend_deg, knee_flexion: state.knee_bend_deg, ankle_dorsiflexion: state.ankle_bend_deg }
        def bend_limits(place) = { hip_flexion: hip_limit_deg, knee_flexion: window(place).target_deg, ankle_dorsiflexion: window(place).cap_deg }

        def draw_moving(sketch, place, state)
          draw_at_hip(sketch, place, state)
          draw_leg_on_plate(sketch, place, state)
        end

        # A carriage; where the seat stands still, nothing.
        def draw_at_hip(_sketch, _place, _state) = nil

        def draw_leg_on_plate(sketch, place, state, suffix = "", **how)
          draw_plate(sketch, place, state, suffix, **how)
          draw_leg(sketch, place, state, suffix, **how)
          draw_foot(sketch, place, state, suffix, **how)
        end

        def draw_joints(sketch, place, state)
          { hip: hip_at(place, state), knee: drawn(place, state, state.knee), ankle: drawn(place, state, state.ankle) }.each { |id, at| sketch.circle(id, :joint, at, 8, moves: true) }
        end

        def draw_plate(sketch, place, state, suffix = "", **how)
          low, high = plate_ends(place, state)
          sketch.board(:"plate#{suffix}", :machine, low, high, PLATE_MM, moves: true, of: %i[plate_angle plate_length plate_y], **how)
        end

        # From the plate's lower edge to its upper one.
        def plate_ends(place, state)
          lower = on_rail_of_plate(place, state)
          [lower, lower + (up_the_plate(place) * place[:plate_length])].map { |point| drawn(place, state, point) }
        end

        def on_rail_of_plate(place, state) = Geometry::Point.new(state.x_mm, leg(place).plate_y_mm)
        def plate_at(place, state) = drawn(place, state, on_rail_of_plate(place, state))

        def up_the_plate(place) = Geometry::Point.towards(-place[:plate_angle])

        def draw_leg(sketch, place, state, suffix = "", **how)
          hip = hip_at(place, state)
          knee = drawn(place, state, state.knee)
          ankle = drawn(place, state, state.ankle)
          sketch.capsule(:"thigh#{suffix}", :body, [hip, knee], [body.hip_rise, body.knee_front * Scenes::Limbs::THIGH_END], moves: true, **how)
          Scenes::Limbs.new(body).shin(sketch, knee, ankle, body.shank * 0.6, id: :"shin#{suffix}", **how)
        end

        def draw_foot(sketch, place, state, suffix = "", **how)
          ankle = drawn(place, state, state.ankle)
          up = (drawn(place, state, state.ankle + up_the_plate(place)) - ankle).unit
          limbs = Scenes::Limbs.new(body)
          under = limbs.planted_foot(sketch, ankle, towards: up, out: up.front * -1, sole_mm: wishes[:sole_mm], suffix: suffix, **how)
          limbs.underfoot(sketch, :"block#{suffix}", under, up.front * -1, block_mm, **how) if block_mm.positive?
        end

        # What lies between shoe and plate.
        def block_mm = sole_mm - wishes[:sole_mm]

        # The number between the stop and the bottom, along the rail, where neither marks nor body are.
        def dimensions(place)
          ends_at = [from_hip(place, ends), bottom(place).x_mm]
          stop, turn = ends_at.map { |x| under_plate(place, x, number_off) }
          at = under_plate(place, ends_at.max, number_off) + Geometry::Point.new(number_side == :start ? 26 : -26, number_side == :start ? 0 : -30)
          [Scenes::Dimension.new(of: stop_finding, from: stop, to: turn, at: at, anchor: number_side, value: slack_mm(place), unit: :mm)]
        end

        # Every mark of what moves the stop, beside the rail.
        def labels(place)
          place.once(:labels) { @machine.adjusters.select { |adjuster| adjuster.drives?(ends) }.flat_map { |adjuster| labels_of(adjuster, place) } }
        end

        def labels_of(adjuster, place)
          here = place[ends]
          travels = adjuster.travel.map { |travel| adjuster.drives[ends] * travel }
          set = travels.min_by { |travel| (@machine.constants[ends] + travel - here).abs }
          adjuster.marks.zip(travels).map do |mark, travel|
            x = here + travel - set - hip(place).s
            Scenes::Label.new(text: mark, at: under_plate(place, x, TICK_MM + 26), set: travel == set, of: adjuster.label)
          end
        end

        # Ticks for those marks, and the stop that is set.
        def draw_end(sketch, place)
          labels(place).each_with_index do |label, index|
            next if label.set

            sketch.line(:"notch_#{index}", :frame, *tick(place, label.at), width: 6, of: [ends])
          end
          x = from_hip(place, ends)
          sketch.line(:stop, :target, under_plate(place, x, -TICK_MM), under_plate(place, x, TICK_MM), width: 12, moves: true, of: [ends])
        end

        def tick(place, at)
          towards = (under_plate(place, 0.0, 0) - under_plate(place, 0.0, TICK_MM)).unit
          [at + (towards * 26), at + (towards * (26 + TICK_MM))]
        end

        # The plate as one sees it standing before it: its length, the foot on it and the heights (mm) at which the heels may stand; what
        # closes them, in words. nil where the plate is shorter than a foot.
        def plate_from_front(place)
          seen = window(place)
          return unless seen.plate_mm

          range = seen.empty? ? [nil, nil] : [seen.low_mm, seen.high_mm]
          heights = { heel_mm: foot_mm(place), low_mm: range.first, high_mm: range.last }
          Scenes::Plate.new(**sizes(place), **feet(place), **heights, says: window_says(place), closed: closed_says(place), choice: :foot_mm)
        end

        def sizes(place) = { length_mm: place[:plate_length], width_mm: place[:plate_width], foot_mm: body.foot, shoe_mm: Linkages::Stance::FIGURES[:shoe_mm] }
        def feet(place) = { **settled(place), **wishes.values.compact }.slice(:stance_mm, :turn_deg)
      end
    end
  end
end
