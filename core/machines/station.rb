# frozen_string_literal: true

module Verglas
  module Machines
    # A family of stations: one seat on which several exercises are done, each with an arm setting of its own. Its data hold
    # the shared constants and adjusters, and below "exercises" what each has for itself; every exercise is read as a machine
    # of a family of its own. docs/model.md sections 3 and 9.
    #   exercises   {name => Family}
    #   own         the group of constants which every exercise has for itself
    Station = Value.define(:id, :exercises, :own) do
      # The shared part and the exercise's own as the data of one machine; constants of other exercises are left out.
      def exercise_data(data, exercise)
        family = exercises.fetch(exercise&.to_s) { raise Invalid.new(:unknown_exercise, path: "/exercise", exercise: exercise, known: exercises.keys) }
        own = data.fetch("exercises", {}).fetch(exercise.to_s) { raise Invalid.new(:missing, path: "/exercises/#{exercise}", name: exercise.to_s) }
        names = family.constants.keys.map(&:to_s)
        shared = data.fetch("adjusters").map { |adjuster| adjuster.merge("drives" => adjuster.fetch("drives").slice(*names)) }
        data.merge("family" => family.id.to_s, "constants" => data.fetch("constants").slice(*names).merge(own.fetch("constants")),
                   "adjusters" => [*shared, *own.fetch("adjusters")])
      end

      # How many ways to stand are compared: every combination of the shared marks, each with all that every exercise tries then.
      # shared: how many marks each shared adjuster has that moves something; exercises: [family, its own adjusters as Family#tries
      # takes them] of each.
      def self.tries(shared, exercises) = shared.inject(1, :*) * exercises.sum { |family, own| family.tries(own) }

      # Labels of the adjusters whose marks all exercises share.
      def shared(data) = data.fetch("adjusters").map { |adjuster| adjuster.fetch("label") }
    end
  end
end
