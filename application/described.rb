# frozen_string_literal: true

module Verglas
  module Application
    # Machines' rows as core values. A description stays as it is until it is taped again.
    module Described
      module_function

      # exercise: its name, nil on a machine with one.
      def machine(row, exercise)
        Kept
          .shared
          .of(:described, [*row.values_at(:id, :name, :family, :number, :taped_at), exercise]) do
            value(row, exercise: exercise)
          end
      end

      # The same, read anew. As far as it is taped.
      def value(row, exercise: nil) = Machines::Reader.read_known(data(row), exercise: exercise)

      # Whether nobody is fitted on it: it is gone, or might be bought. Raises Invalid where it is so.
      def off_the_floor?(row) = Store::Tables::Machines::OFF_THE_FLOOR.include?(row[:state])
      def on_the_floor!(row, path:)
        raise Invalid.new(:"machine_#{row[:state]}", path: path) if off_the_floor?(row)
      end

      # A row as the plain data that the core reads.
      def data(row)
        {
          "id" => row[:id],
          "family" => row[:family],
          "name" => row[:name],
          "constants" => row[:constants].to_h,
          "adjusters" => row[:adjusters].to_a,
          "exercises" => row[:exercises].to_h
        }
      end

      # The names of the exercises that are done on a row's machine: [nil] where there is one.
      def exercises(row) = Machines::Families.fetch(row[:family]).exercises.keys

      # Whether several exercises share one seat, each with an arm of its own.
      def station?(row) = !Machines::Families.fetch(row[:family]).exercises.key?(nil)

      # The names of all that is done on it, each emphasis too (Machines::Emphasis).
      def all_exercises(row) = Machines::Families.fetch(row[:family]).all_exercises.keys

      # The exercise whose emphasis that is, "" for the one that needs no name.
      def plain(row, exercise) = Machines::Families.fetch(row[:family]).plain(exercise[/.+/]).to_s

      # {exercise => adjusters} as plain data: those that all of them share under "".
      def parts(row)
        { "" => row[:adjusters].to_a, **row[:exercises].to_h.transform_values { |part| part.fetch("adjusters", []) } }
      end

      # Of one exercise ("" on a machine with one), what is shared first: adjusters as plain data, {constant => number}.
      def adjusters(row, exercise) = parts(row).values_at(*["", plain(row, exercise)].uniq).compact.flatten(1)
      def constants(row, exercise)
        { **row[:constants].to_h, **row[:exercises].to_h.fetch(plain(row, exercise), {}).fetch("constants", {}) }
      end

      # Raises Invalid where the description of some exercise does not add up.
      def check(row) = exercises(row).each { |exercise| value(row, exercise: exercise) }

      # How far it is taped: "untaped" (nothing can be told), "partly", "taped".
      def how_far(row)
        Kept
          .shared
          .of(:taped, row.values_at(:id, :family, :number, :taped_at)) do
            told = exercises(row).map { |exercise| told(row, exercise) }
            if told.all?(:all)
              "taped"
            else
              told.all?(:nothing) ? "untaped" : "partly"
            end
          end
      end

      # The same by the family that the exercise is of; and which of its lengths are taped.
      def of_family(row, family) = machine(row, exercise_of(row, family))

      def taped(row, family)
        own = row[:exercises].to_h.fetch(exercise_of(row, family).to_s, {}).fetch("constants", {})
        [*family.defaults.keys, *{ **row[:constants].to_h, **own }.compact.keys.map(&:to_sym)]
      end

      def exercise_of(row, family)
        Machines::Families.fetch(row[:family]).all_exercises.find { |_, one| one.id == family.id }.first
      end

      # How much of an exercise can be told.
      def told(row, exercise)
        told = value(row, exercise: exercise).family.findings.size
        return :all if told == Machines::Families.fetch(row[:family]).exercises.fetch(exercise).findings.size

        told.zero? ? :nothing : :some
      end
      private_class_method :exercise_of, :told
    end
  end
end
