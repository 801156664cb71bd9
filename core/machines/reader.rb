# frozen_string_literal: true

module Verglas
  module Machines
    # Plain data (string keys, as in a JSON document or a row) to a Machine. Raises Invalid with the path into the data.
    module Reader
      module_function

      # A machine of which everything is taped. exercise: which one is done on it, where a station has several.
      def read(data, exercise: nil)
        own, family = of_exercise(data, exercise)
        build(own, family.told_by(known(own, family) | family.needed), own.fetch("adjusters"))
      end

      # A machine as far as it is taped: constants may be missing or null, travel null. What is not known is not
      # claimed: the family is cut down to what can be told, and an adjuster that moves anything else is recorded only.
      def read_known(data, exercise: nil)
        own, family = of_exercise(data, exercise)
        family = family.told_by(known(own, family))
        told = family.constants.keys.map(&:to_s)
        adjusters =
          own
            .fetch("adjusters")
            .map do |adjuster|
              adjuster.merge("travel" => adjuster["travel"] || [], "drives" => adjuster.fetch("drives").slice(*told))
            end
        build(own.merge("constants" => own.fetch("constants").slice(*told).compact), family, adjusters)
      end

      # A machine's plain data as that of one exercise, and the family that the exercise is of.
      def of_exercise(data, exercise)
        whole = Families.fetch(data.fetch("family"))
        own = whole.exercise_data(data, exercise)
        [own, whole.exercise(whole.named(exercise))]
      end

      # Names of the constants whose value is known at every mark.
      def known(data, family)
        moved_unknown =
          data
            .fetch("adjusters")
            .reject { |adjuster| adjuster["travel"] }
            .flat_map { |adjuster| adjuster.fetch("drives").keys }
        (family.defaults.keys | data.fetch("constants").compact.keys.map(&:to_sym)) - moved_unknown.map(&:to_sym)
      end

      def build(data, family, adjusters)
        Machine.new(
          id: data.fetch("id", ""),
          name: data.fetch("name", ""),
          family: family,
          constants: family.defaults.merge(data.fetch("constants").transform_keys(&:to_sym)),
          adjusters: adjusters(adjusters)
        )
      end

      def adjusters(list)
        list.each_with_index.map do |adjuster, index|
          Adjuster.new(
            label: adjuster.fetch("label"),
            marks: adjuster.fetch("marks"),
            travel: adjuster.fetch("travel").map(&:to_f),
            drives: adjuster.fetch("drives").transform_keys(&:to_sym),
            same_as: adjuster["same_as"]
          )
        rescue Invalid => e
          raise e.below("/adjusters/#{index}")
        end
      end
      private_class_method :of_exercise, :known, :build, :adjusters
    end
  end
end
