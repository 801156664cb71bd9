# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What whoever practises is told while they work, without a number that is not theirs to know; and afterwards what
      # the core did in their place, and why.
      module Practice
        Core = ::Verglas::Practice::CorePlay

        module_function

        # What was done, as one reads it; kind: as it was done, or as the core would have.
        def action(action, play, kind = "did")
          case action["do"]
          when "take"
            say("#{kind}.take", reading: observation(action["observation"]), cm: tape(action, play))
          when "set"
            say("#{kind}.set", marks: marks(action["marks"]))
          when "watch"
            named = action["named"].map { |name| sign(name) }
            named.empty? ? say("#{kind}.watch_none") : say("#{kind}.watch", signs: named.join("; "))
          when "cause"
            say("#{kind}.cause", sign: sign(action["sign"]), cause: cause(action["cause"]))
          when "cue"
            say("#{kind}.cue", cue: Formats::Words.say("cues.#{action["cue"]}"))
          when "load"
            say("#{kind}.load", kg: Load.number(action["kg"]))
          else
            say("#{kind}.#{action["do"]}")
          end
        end

        # What the core would have done next at the same moment; nil where it would do the same. before: the Play up to
        # then. Whoever took the tape off is not told to take it again.
        def instead(before, action)
          step = Core.step(before, action["do"] == "take" ? nil : before.readings) or return
          action(step, before, "would") unless same?(step, action)
        end

        def tape(action, play) = Load.number(play.made_up.reading_mm(action["observation"]) / 10.0)

        # What an action cost or missed, beside what the core would have done.
        def remark(before, action)
          case action["do"]
          when "watch"
            missed(before, action)
          when "cause"
            likeliest = Core.cause(before, action["sign"].to_sym)
            say("likelier", cause: cause(likeliest)) unless likeliest.to_s == action["cause"]
          when "set"
            likely(before, action)
          end
        end

        def same?(one, other) = one["do"] == other["do"] && one.except("named") == other.except("named")

        # How likely the joint is in line there, as far as it was known.
        def likely(before, action)
          indices = before.made_up.machine.indices(action["marks"])
          share = before.reading.in_line(indices)
          say("in_line", percent: (share * 100).round) if share.positive?
        end

        def missed(before, action)
          named = action["named"].map(&:to_sym)
          seen, = before.made_up.watched(before.reading.knowledge, before.indices, said: before.cues)
          parts = { missed: seen - named, imagined: named - seen }
          told = parts.reject { |_, names| names.empty? }
          told.map { |key, names| say(key, signs: names.map { |name| sign(name) }.join("; ")) }.join(" ")[/.+/]
        end

        # As they truly sit there: as one sees it, and with the numbers on; nil where nothing is drawn.
        def seen(play)
          sitting(play) { |scene, voice| Scene.without_numbers(scene, ends: voice.travel_words) }
        end
        def numbered(play) = sitting(play) { |scene, voice| Scene.of(scene, ends: voice.travel_words) }

        def sitting(play)
          mechanics, place = play.made_up.truly(play.made_up.wishes, play.indices)
          scene = Scenes.of(mechanics, place)&.whole
          scene && yield(scene, Telling.of(mechanics, place))
        end

        # What they say when they are asked about cautions.
        def answer(made_up)
          made_up.caution ? say("has", caution: Formats::Words.say("cautions.#{made_up.caution}.title")) : say("none")
        end

        def observation(name) = Formats::Words.say("observations.#{name}.title")
        def sign(name) = Formats::Words.say("signs.#{name}")
        def cause(name) = Formats::Words.say("causes.#{name}.title")
        def marks(marks) = marks.map { |label, mark| "#{Formats::Words.adjuster(label)} #{mark}" }.join(", ")
        def say(key, **params) = Formats::Words.say("practice.#{key}", **params)
        private_class_method :same?, :likely, :missed, :tape, :sitting
      end
    end
  end
end
