# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What people, machines and marks are called.
      module Names
        module_function

        def client(row) = row.slice(:id, :name, :detail, :sex, :version)

        # Marks as a person reads them: the adjuster's name and its mark, in the machine's order; then what is placed
        # and read like a mark (a link, the heels' height). aids: as Aids has them.
        def tags(marks, aids = {})
          [
            *marks.map { |label, mark| { label: label, name: Formats::Words.adjuster(label), mark: mark } },
            *placed(aids)
          ]
        end

        def placed(aids)
          aids
            .slice(*Aids::PLACED)
            .filter_map do |name, size|
              title = Formats::Words.maybe("aids.#{name}.tag")
              title &&
                { label: "@#{name}", name: title, mark: Formats::Words.say("aids.#{name}.tagged", size: size.round) }
            end
        end

        # With the exercise on a station, and with what it is done for.
        def machine(name, exercise) = exercise.empty? ? name : "#{name}: #{exercise(exercise).downcase}"

        # exercise: a name that is not empty.
        def exercise(exercise)
          plain, emphasis = Verglas::Machines::Emphasis.parted(exercise)
          said = [
            *(Formats::Words.say("exercises.#{plain}") unless plain.empty?),
            *(Formats::Words.say("emphases.#{emphasis.name}.title") if emphasis)
          ]
          said.each_with_index.map { |part, index| index.zero? ? part : part.downcase }.join(", ")
        end
        private_class_method :placed
      end
    end
  end
end
