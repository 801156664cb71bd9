# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # The families of machines that can be entered, and what their adjusters may move.
      module Families
        module_function

        def all
          ordered.map do |family|
            {
              id: family.id,
              scenes: pictures(family),
              name: Formats::Words.say("families.#{family.id}"),
              hint: Formats::Words.say("family_hints.#{family.id}"),
              exercises: family.exercises.map { |name, one| exercise(family, name, one) },
              asked: family.asked_kinds.map(&:name),
              moves: moves(family),
              shared_kinds: kinds(family.shared_kinds)
            }
          end
        end

        # Those that are done there, one way and the other.
        def moves(family)
          Verglas::Guidance::Moves::WAYS.to_h do |way|
            all = family.plain_exercises.values.flat_map { |one| Verglas::Guidance::Moves.of(one, way) }.uniq
            told =
              all.map do |move|
                { name: move.name, title: Formats::Words.say("moves.#{move.name}"), who: move.who, catch: move.catch }
              end
            [way, told]
          end
        end

        def exercise(family, name, one)
          {
            name: name.to_s,
            title: name && Formats::Words.say("exercises.#{name}"),
            kinds: kinds(one.choosable_kinds),
            asked: asked(family, name)
          }
        end

        # Those that an exercise is of, in the same order.
        def single = ordered.flat_map { |family| family.exercises.values }.uniq

        # By what they train, then by name.
        def ordered
          Machines::Families.all.sort_by do |family|
            [
              Machines::Declaration::ACTIONS.index(family.exercises.values.first.action),
              Formats::Words.say("families.#{family.id}")
            ]
          end
        end

        # What one looks like, a middle body on it, each exercise. Worked out once.
        def pictures(family)
          (@pictures ||= {})[family.id] ||= family.exercises.values.map do |exercise|
            Told::Scene.of(
              Scenes::Tapes.new(exercise, {}).scene.with(poses: [], curve: nil, plate: nil, dimensions: [], labels: [])
            )
          end
        end

        def asked(family, exercise) = exercise ? family.asked_of(exercise).map(&:name) : []

        def kinds(kinds)
          kinds.map do |kind|
            words = ->(part) { Formats::Words.say("adjuster_kinds.#{kind.name}.#{part}") }
            {
              name: kind.name,
              decides: kind.decides,
              title: words["title"],
              label: words["label"],
              forwards: words["forwards"],
              backwards: words["backwards"]
            }
          end
        end
        private_class_method :ordered, :exercise, :pictures, :asked, :kinds
      end
    end
  end
end
