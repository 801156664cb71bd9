# frozen_string_literal: true

module Verglas
  module Practice
    # What is known of a MadeUp from some readings and looks: by the same means as of anybody.
    module Knowing
      module_function

      def estimation(made_up, readings)
        taped =
          readings.map do |name|
            Body::Reading.new(observation: name, value_mm: made_up.reading_mm(name), confirmed: true)
          end
        Body::Estimation.new(sex: made_up.sex, readings: taped)
      end

      def advice(made_up, readings)
        Fitting::Advice.new(
          machine: made_up.machine,
          estimate: estimation(made_up, readings).met,
          wishes: made_up.wishes,
          taken: readings
        )
      end

      # Guidance::SignReading, with all that was seen.
      def of(made_up, readings, looks)
        reading =
          Guidance::SignReading.new(
            machine: made_up.machine,
            estimate: estimation(made_up, readings).met,
            wishes: made_up.wishes
          )
        looks.each { |look| look(reading, look) }
        reading
      end

      # One look more, as far as a number shows what was seen.
      def look(reading, look)
        shown = Guidance::SignReading.shown_on(reading.knowledge.machine)
        reading.look(look.indices, seen: look.seen & shown, not_seen: look.not_seen & shown)
      end
    end
  end
end
