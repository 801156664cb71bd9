# frozen_string_literal: true

module Verglas
  module Web
    module Inputs
      # What was typed of a machine: facts of the walk-round, and adjusters with their marks as printed.
      module Machine
        WALK_ROUND = %w[side handle unlocks reachable_seated weight_off_first both_sides].freeze

        module_function

        # Only what was sent is answered: a correction may leave facts out.
        # families: of all that is done on it.
        def facts(input, families)
          facts = input.slice(*Store::Tables::Machines::FACTS)
          %i[name code place state_note getting_in getting_out left_behind].each do |name|
            facts[name] = facts[name].strip.gsub(/\s+/, " ") if facts.key?(name)
          end
          raise Invalid.new(:blank, path: "/name") if facts[:name] == ""

          check_loading(facts[:loading]) if facts[:loading]
          Application::Told::Moves.check(facts[:moves], families) if facts[:moves]

          facts
        end

        # What a machine is called.
        def name(text)
          text.strip.gsub(/\s+/, " ").tap { |name| raise Invalid.new(:blank, path: "/name") if name.empty? }
        end

        # A description's adjusters and exercises, for a family. before: the description they take the place of; an
        # adjuster of the same name and marks keeps its travel, another has to be taped anew.
        def adjusters(input, family, before: {})
          shared =
            list(
              input.fetch(:adjusters, []),
              [*family.shared_kinds, *family.exercises.values.flat_map(&:choosable_kinds)].uniq,
              "",
              before.fetch(:adjusters, [])
            )
          exercises = exercises(input, family, before.fetch(:exercises, {}))
          Verglas::Machines::Tries.check(family.exercises, shared, exercises)
          { adjusters: shared, exercises: exercises }
        end

        def exercises(input, family, before)
          given = input.fetch(:exercises, nil).to_h
          family
            .exercises
            .except(nil)
            .to_h do |name, exercise|
              old = before.fetch(name, {})
              adjusters =
                list(
                  given.dig(name, "adjusters").to_a,
                  exercise.choosable_kinds,
                  "/exercises/#{name}",
                  old.fetch("adjusters", [])
                )
              [name, { "constants" => old.fetch("constants", {}), "adjusters" => adjusters }]
            end
        end

        # possible: kinds that may be chosen there.
        def list(adjusters, possible, path, before)
          adjusters
            .each_with_index
            .map do |adjuster, index|
              one(adjuster, possible, before)
            rescue Invalid => e
              raise e.below("#{path}/adjusters/#{index}")
            end
            .tap { |list| check_together(list, path) }
        end

        def check_together(list, path)
          Verglas::Machines::Together.check(list.map { |one| [one["label"], one["same_as"], one["marks"].size] })
        rescue Invalid => e
          raise e.below(path)
        end

        def one(adjuster, possible, before)
          kind =
            possible.find { |one| one.name.to_s == adjuster["kind"] } ||
              raise(Invalid.new(:not_allowed, path: "/kind", known: possible.map(&:name)))

          marks = adjuster["marks"].map(&:strip)
          raise Invalid.new(:blank, path: "/marks") if marks.any?(&:empty?)

          label = adjuster["label"].strip.gsub(/\s+/, " ")
          raise Invalid.new(:blank, path: "/label") if label.empty?

          drives = kind.driven(forwards: adjuster.fetch("forwards", true)).transform_keys(&:to_s)
          {
            "label" => label,
            "marks" => marks,
            "travel" => kept_travel(before, label, marks, drives),
            "drives" => drives,
            **same_as(adjuster),
            "walk_round" => adjuster.fetch("walk_round", {}).slice(*WALK_ROUND)
          }
        end

        def same_as(adjuster)
          label = adjuster["same_as"].to_s.strip.gsub(/\s+/, " ")
          label.empty? ? {} : { "same_as" => label }
        end

        # What cannot be loaded is refused where it was typed.
        def check_loading(loading)
          Loading::Rig.read(loading)
        rescue Invalid => e
          raise e.below("/loading")
        end

        def kept_travel(before, label, marks, drives)
          old =
            before.find do |candidate|
              candidate["label"] == label && candidate["marks"] == marks && candidate["drives"] == drives
            end
          old && old["travel"]
        end
        private_class_method :exercises, :list, :check_together, :one, :same_as, :check_loading, :kept_travel
      end
    end
  end
end
