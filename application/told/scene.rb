# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # A picture as data: points as [x, y], x forward, y up, tenths of a millimetre.
      module Scene
        module_function

        # nil where nothing can be drawn. known: the constants that are taped; what is drawn from another is marked as a
        # guess; ends: what the two ends of a movement that is moved by hand are called.
        def of(scene, known: nil, ends: [])
          return unless scene

          { **drawn(scene, known), **moved(scene), ends: ends.map { |name| Formats::Words.say("travel.#{name}") } }
        end

        # What stands still of it, with a phone on it.
        def with_phone(scene, phone)
          {
            scene: without_numbers(scene).merge(poses: [], ends: []),
            phone: {
              at: at(phone.at),
              deg: phone.deg.to_f.round(1)
            }
          }
        end

        # As one sees it, wherever it is moved by hand: no number, no place where anything should be.
        TOLD = %i[target wanted travelled joint path beyond].freeze
        def without_numbers(scene, ends: [])
          drawn = drawn(scene, nil)
          {
            **drawn,
            dimensions: [],
            targets: [],
            lens: nil,
            labels: [],
            parts: drawn[:parts].reject { |part| TOLD.include?(part[:role]) },
            poses: scene.poses.map { |pose| { **pose(pose).slice(:share, :parts), deg: [], split: [] } },
            drawn_share: scene.drawn_share,
            ends: ends.map { |name| Formats::Words.say("travel.#{name}") }
          }
        end

        def drawn(scene, known)
          {
            window: scene.window.transform_values { |mm| mm.to_f.round(1) },
            floor: scene.floor,
            fade: scene.fade.map { |point| at(point) },
            parts: scene.parts.map { |part| part(part, known) },
            dimensions: scene.dimensions.map { |one| dimension(one) },
            targets:
              scene.targets.map do |target|
                { finding: target.finding, at: at(target.at), joint: at(target.joint), in_line_mm: target.in_line_mm }
              end,
            lens: scene.lens,
            labels: scene.labels.map { |label| { text: label.text, at: at(label.at), set: label.set, of: label.of } }
          }
        end

        # What is seen of it besides: all along the movement, its plate from the front, what it asks.
        def moved(scene)
          {
            poses: scene.poses.map { |pose| pose(pose) },
            drawn_share: scene.drawn_share,
            plate: scene.plate && plate(scene.plate),
            curve: scene.curve && curve(scene.curve),
            effort: scene.effort && effort(scene.effort)
          }
        end

        def pose(pose)
          {
            share: pose.share.round(3),
            parts: pose.parts.map { |part| { id: part.id, points: part.points.map { |point| at(point) } } },
            deg: pose.deg.map { |motion, deg| bend(motion, deg, pose.limits[motion]) },
            split: pose.split.values,
            at_deg: pose.at_deg&.round(1),
            effort_nm: pose.effort_nm && [pose.effort_nm, 0.0].max.round,
            pad_mm: pose.pad_mm&.round
          }
        end

        def bend(motion, deg, most)
          {
            motion: motion,
            title: Formats::Words.say("bends.#{motion}"),
            deg: Mechanisms.whole_deg(deg),
            limit: most && Mechanisms.whole_deg(most)
          }
        end

        def curve(curve)
          {
            title: Formats::Words.of(curve.says),
            estimated: curve.estimated,
            corner: curve.corner,
            points: torques(curve.points),
            plain: torques(curve.plain),
            range: curve.range.map { |deg| deg.round(1) },
            tops:
              curve.tops.map do |top|
                { deg: top.deg.round, nm: [top.nm, 0.0].max.round, plain_nm: top.plain_nm.round, own: top.own }
              end
          }
        end

        def effort(effort)
          {
            title: Formats::Words.of(effort.says),
            slack_share: effort.slack_share&.round(3),
            lines:
              effort.lines.map do |joint, points|
                {
                  joint: Formats::Words.say("effort.joints.#{joint}"),
                  points: points.map { |share, one| [share.round(3), one.round(3)] }
                }
              end
          }
        end

        def torques(points) = points.map { |deg, nm| [deg.round(1), nm.round(1)] }

        def plate(plate)
          lengths =
            %i[length_mm width_mm foot_mm shoe_mm heel_mm stance_mm turn_deg low_mm high_mm].to_h do |name|
              [name, plate[name]&.to_f&.round(1)]
            end
          lengths.merge(
            says: plate.says.map { |says| Formats::Words.of(says) },
            closed: plate.closed && Formats::Words.of(plate.closed),
            choice: plate.choice
          )
        end

        # known: the constants that are taped; nil where nothing of it is a guess.
        def part(part, known = nil)
          {
            id: part.id,
            role: part.role,
            shape: part.shape,
            points: part.points.map { |point| at(point) },
            radii: part.radii.map { |mm| mm.to_f.round(1) },
            degrees: part.degrees.map { |deg| deg.to_f.round(2) },
            ghost: part.ghost,
            moves: part.moves,
            faded: part.faded,
            guess: !known.nil? && !(part.of - known).empty?
          }
        end

        # A number in the picture.
        def dimension(one)
          {
            of: one.of,
            from: at(one.from),
            to: at(one.to),
            at: at(one.at),
            anchor: one.anchor,
            value: one.value.round(3),
            unit: one.unit
          }
        end

        def at(point) = [point.s.to_f.round(1), point.n.to_f.round(1)]
        private_class_method :pose, :bend, :plate, :curve, :effort, :torques, :drawn, :moved
      end
    end
  end
end
