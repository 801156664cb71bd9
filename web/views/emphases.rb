# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What the exercise of a bench can be done for: what each does, what is known of the muscles and what is only
      # said, why one is closed.
      module Emphases
        module_function

        def of(meeting) = Application::Emphases.of(meeting).map { |line| told(line) }

        def told(line)
          {
            name: line.name,
            title: title(line),
            active: line.active,
            closed: Told::Barred.of(line.bars),
            feet: line.feet && feet(line.feet),
            known: words(line, :known),
            said: words(line, :said)
          }
        end

        # What it is without an emphasis, the family says; of another exercise than the machine is there for, its name
        # comes first.
        def key(line) = line.emphasis&.name || :"without.#{line.family.action}"

        def title(line)
          line.beside ? Application::Told::Names.exercise(line.name) : Formats::Words.say("emphases.#{key(line)}.title")
        end

        def words(line, part) = Formats::Words.maybe("emphases.#{key(line)}.#{part}")

        def feet(feet)
          empty = [feet[:room_down_mm], feet[:room_up_mm]].min.negative?
          Formats::Words.say(
            empty ? "emphases.no_room" : "emphases.feet",
            knee: feet[:knee],
            hip: feet[:hip],
            mm: feet[:foot_mm].round,
            down: feet[:room_down_mm].round,
            up: feet[:room_up_mm].round
          )
        end
        private_class_method :told, :key, :title, :words, :feet
      end
    end
  end
end
