# frozen_string_literal: true

module Verglas
  module Application
    # Machines' rows as core values. A description stays as it is until it is taped again.
    module Described
      RECENT = Recent.new(200)

      module_function

      # exercise: its name, nil on a machine with one.
      def machine(row, exercise)
        RECENT.fetch([*row.values_at(:id, :name, :family, :number, :taped_at), exercise]) do
          Store::Tables::Machines.value(row, exercise: exercise)
        end
      end

      # The same by the family that the exercise is of; and which of its lengths are taped.
      def of_family(row, family) = machine(row, exercise_of(row, family))

      def taped(row, family)
        own = row[:exercises].to_h.fetch(exercise_of(row, family).to_s, {}).fetch("constants", {})
        [*family.defaults.keys, *{ **row[:constants].to_h, **own }.compact.keys.map(&:to_sym)]
      end

      def exercise_of(row, family)
        Machines::Families.fetch(row[:family]).exercises.find { |_, one| one.id == family.id }.first
      end
      private_class_method :exercise_of
    end
  end
end
