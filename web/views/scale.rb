# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # An adjuster's marks with their travel, for a paper scale in true size: of one that moves by a length, as it was
      # taped or entered.
      module Scale
        module_function

        def of(row, exercise, label)
          adjusters = [*row[:adjusters].to_a, *row[:exercises].to_h.fetch(exercise, {}).fetch("adjusters", [])]
          adjuster =
            adjusters.find { |one| one["label"] == label } ||
              raise(Invalid.new(:unknown_adjuster, path: "/adjuster", adjuster: label))
          {
            machine: Told::Names.machine(row[:name], exercise),
            label: Formats::Words.adjuster(label),
            marks: adjuster["marks"].zip(lengths(row, exercise, adjuster))
          }
        end

        # mm from the first mark.
        def lengths(row, exercise, adjuster)
          travel = adjuster["travel"].to_a
          unless travel.size == adjuster["marks"].size && length?(row, exercise, adjuster)
            raise Invalid.new(:no_true_size, path: "/adjuster")
          end

          travel.map { |one| (one - travel.first).abs }
        end

        # Angles have no true size on paper.
        def length?(row, exercise, adjuster)
          drives = adjuster["drives"].transform_keys(&:to_sym)
          kinds = [
            *Machines::Families.fetch(row[:family]).shared_kinds,
            *Machines::Families.fetch(row[:family]).all_exercises[exercise[/.+/]].kinds.values
          ]
          kind, = Machines::AdjusterKind.matching(kinds, drives)
          kind.nil? || kind.unit == :mm
        end
        private_class_method :lengths, :length?
      end
    end
  end
end
