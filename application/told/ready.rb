# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # Who is ready for what, in sentences: where to begin and why, what comes after, and the rungs with what each
      # asks.
      module Ready
        module_function

        # nil where a machine has no rungs.
        def of(meeting)
          ready = Readiness.of(meeting) or return
          {
            says: [begin_says(ready), *onward(ready), *(words(:kept_long, count: ready.clean) if ready.kept_long?)],
            rungs:
              ready.rungs.map do |rung|
                { text: rung_words(rung), nm: [rung.top_nm, 0.0].max.round, today: rung == ready.today }
              end
          }
        end

        def begin_says(ready) = words(:"begin.#{ready.reason}", rung: rung_words(ready.today), count: ready.clean)

        # Range before anything harder.
        def onward(ready) = ready.onward ? [words(:onward, rung: Finding.lower(rung_words(ready.onward)))] : []

        def rung_words(rung)
          words("rung.#{kind(rung)}#{"_at" if rung.deg}", deg: rung.deg&.round, n: rung.band_n, kg: rung.held_kg)
        end

        def kind(rung)
          return :band if rung.band_n.positive?

          rung.held_kg.positive? ? :held : :plain
        end

        def words(key, **params) = Formats::Words.say("ready.#{key}", **params)
        private_class_method :begin_says, :onward, :rung_words, :kind, :words
      end
    end
  end
end
