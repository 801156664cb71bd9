# frozen_string_literal: true

module Verglas
  module Application
    # Machines' rows as core values. A description stays as it is until it is taped again.
    module Described
      RECENT = Recent.new(200)

      module_function

      # exercise: its name, nil on a machine with one.
      def machine(row, exercise)
        RECENT.fetch([*row.values_at(:id, :name, :family, :number, :taped_at), exercise]) { Store::Tables::Machines.value(row, exercise: exercise) }
      end

      # The same by the family that the exercise is of.
      def of_family(row, family)
        exercise, = Machines::Families.fetch(row[:family]).exercises.find { |_, one| one.id == family.id }
        machine(row, exercise)
      end
    end
  end
end
