# frozen_string_literal: true

module Verglas
  module Machines
    # A family of stations: one seat on which several exercises are done, each with an arm setting of its own. Its data
    # hold the shared constants and adjusters, and below "exercises" what each has for itself; every exercise is read as
    # a machine of a family of its own. docs/model.md sections 3 and 9.
    #   exercises   {name => Family}
    #   own         the group of constants which every exercise has for itself
    #   set_anew    whether each exercise has marks of its own on adjusters that all of them use; else one setting
    #               serves all
    #   shared_kinds kinds of adjusters which move something of several exercises at once (AdjusterKind)
    Station =
      Value.define(:id, :exercises, :own, :set_anew, :shared_kinds) do
        # As Family has them: an emphasis of one of its exercises bears that one's name too.
        def emphases
          exercises.flat_map { |name, family| family.emphases.map { |own, one| ["#{name}_#{own}", one] } }.to_h
        end

        def plain_exercises = Families.plain_exercises(self)
        def all_exercises = Families.all_exercises(self)
        def exercise(name) = Families.exercise(all_exercises, name)
        def plain(name) = exercises.key?(name) ? name : exercises.keys.find { |one| name.to_s.start_with?("#{one}_") }

        # As Family has it: what is shared is asked once, what each exercise has of its own with it.
        def asked_kinds
          return shared_kinds if shared_kinds.any?

          exercises
            .each_value
            .flat_map { |family| family.kinds.values.reject { |kind| own?(family, kind) } }
            .uniq(&:name)
        end

        def asked_of(exercise)
          family = exercises.fetch(exercise)
          family.kinds.values.select do |kind|
            own?(family, kind) && shared_kinds.none? { |shared| (kind.drives.keys - shared.drives.keys).empty? }
          end
        end

        # The shared part and the exercise's own as the data of one machine; constants of other exercises are left out.
        def exercise_data(data, name)
          family = exercise(named(name))
          own = own_data(data, plain(named(name)))
          names = family.constants.keys.map(&:to_s)
          shared =
            data
              .fetch("adjusters")
              .map { |adjuster| adjuster.merge("drives" => adjuster.fetch("drives").slice(*names)) }
          data.merge(
            "family" => family.id.to_s,
            "constants" => data.fetch("constants").slice(*names).merge(own.fetch("constants")),
            "adjusters" => [*shared, *own.fetch("adjusters")]
          )
        end

        # Where each is set for itself, the first is meant unless another is named.
        def named(name) = name&.to_s || (set_anew ? exercises.keys.first : nil)

        # How many ways to stand are compared: every combination of the shared marks, each with all that every exercise
        # tries then. shared: how many marks each shared adjuster has that moves something; exercises: [family, its own
        # adjusters as Family#tries takes them] of each.
        def self.tries(shared, exercises) = shared.inject(1, :*) * exercises.sum { |family, own| family.tries(own) }

        # Labels of the adjusters whose marks all exercises share.
        def shared(data) = set_anew ? [] : data.fetch("adjusters").map { |adjuster| adjuster.fetch("label") }

        # What a file may have told of an exercise together with the others.
        def own_data(data, exercise)
          data
            .fetch("exercises", {})
            .fetch(exercise) do
              raise(Invalid.new(:missing, path: "/exercises/#{exercise}", name: exercise.to_s)) unless set_anew
              { "constants" => {}, "adjusters" => [] }
            end
        end

        # Whether what a kind moves is each exercise's own.
        def own?(family, kind) = kind.drives.each_key.any? { |name| family.constant(name).group == own }
        private :own_data, :own?
      end
  end
end
