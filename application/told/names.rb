# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What people, machines and marks are called.
      module Names
        module_function

        def client(row) = row.slice(:id, :name, :detail, :sex, :version)

        # Marks as a person reads them: the adjuster's name and its mark, in the machine's order.
        def tags(marks) = marks.map { |label, mark| { label: label, name: Formats::Words.adjuster(label), mark: mark } }

        # With the exercise, on a station.
        def machine(name, exercise) = exercise.empty? ? name : "#{name}: #{Formats::Words.say("exercises.#{exercise}").downcase}"
      end
    end
  end
end
