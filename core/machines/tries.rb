# frozen_string_literal: true

module Verglas
  module Machines
    # How many ways to stand the solver has to compare on a machine as it is described, before anything is taped: as if
    # everything were.
    module Tries
      module_function

      # families: {exercise => Family}; shared, exercises: adjusters as plain data, those of all exercises and {exercise
      # => its own}. Raises Invalid where there are more than can be compared while somebody waits.
      def check(families, shared, exercises)
        families.each do |name, family|
          Family.check_tries(family.tries(ways(family, [*shared, *exercises.fetch(name, {}).fetch("adjusters", [])])))
        end
        return if families.one?

        moving =
          shared.select do |adjuster|
            adjuster["same_as"].nil? && families.each_value.any? { |family| ways(family, [adjuster]).first.first.any? }
          end
        own = families.map { |name, family| [family, ways(family, exercises.fetch(name).fetch("adjusters"))] }
        Family.check_tries(Station.tries(moving.map { |adjuster| adjuster["marks"].size }, own))
      end

      # What each adjuster drives of a family's, and how many marks it has.
      def ways(family, adjusters)
        names = family.constants.keys.map(&:to_s)
        leading, following = adjusters.partition { |adjuster| adjuster["same_as"].nil? }
        leading.map do |adjuster|
          together = [adjuster, *following.select { |one| one["same_as"] == adjuster["label"] }]
          drives = together.map { |one| one["drives"] }.inject({}, :merge)
          [drives.slice(*names).transform_keys(&:to_sym), adjuster["marks"].size]
        end
      end
      private_class_method :ways
    end
  end
end
