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
          bands = meeting.bands
          {
            says: [
              begin_says(ready, bands),
              *onward(ready, bands),
              *(words(:kept_long, count: ready.clean) if ready.kept_long?)
            ],
            rungs:
              ready.rungs.map do |rung|
                { text: rung_words(rung, bands), nm: [rung.top_nm, 0.0].max.round, today: rung == ready.today }
              end
          }
        end

        def begin_says(ready, bands)
          words(:"begin.#{ready.reason}", rung: rung_words(ready.today, bands), count: ready.clean)
        end

        # Range before anything harder.
        def onward(ready, bands)
          ready.onward ? [words(:onward, rung: Finding.lower(rung_words(ready.onward, bands)))] : []
        end

        # bands: the gym's own, {N => what it is called}.
        def rung_words(rung, bands)
          numbers = { deg: rung.deg&.round, n: rung.band_n, kg: rung.held_kg, name: bands[rung.band_n] }
          words("rung.#{kind(rung, bands)}#{"_at" if rung.deg}", **numbers)
        end

        def kind(rung, bands)
          return bands.key?(rung.band_n) ? :called : :band if rung.band_n.positive?

          rung.held_kg.positive? ? :held : :plain
        end

        def words(key, **params) = Formats::Words.say("ready.#{key}", **params)
        private_class_method :begin_says, :onward, :rung_words, :kind, :words
      end
    end
  end
end
