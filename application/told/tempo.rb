# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # A tempo in figures and in words, and where one that begins slowly goes faster.
      module Tempo
        module_function

        # "2-1-3-0"; "1+1-1-3-0" where the first second up is slow.
        def figures(tempo)
          [
            ups(tempo).join("+"),
            *[tempo.hold_s, tempo.down_s, tempo.pause_s].map { |seconds| Load.number(seconds) }
          ].join("-")
        end

        # Without what is not held.
        def words(tempo)
          up =
            tempo.slow_s ? say(:up_slowly, **%i[slow fast].zip(ups(tempo)).to_h) : say(:up, seconds: ups(tempo).first)
          others =
            { hold: tempo.hold_s, down: tempo.down_s, pause: tempo.pause_s }.reject { |_, seconds| seconds.zero? }
          [up, *others.map { |part, seconds| say(part, seconds: Load.number(seconds)) }].join(", ")
        end

        # {share: of the movement, parts: as they are drawn, shown: the number beside them, says:} for the marks of an
        # evaluation; nil where up is one part. Where the machine tells no such place only says says something.
        def quickens(evaluation, tempo)
          return unless tempo.slow_s

          found = Scenes::Quickening.of(evaluation.mechanics, evaluation.place, tempo.slow_deg)
          return { share: nil, parts: [], shown: nil, says: say(:begin_slowly) } unless found

          {
            share: found.share.round(3),
            parts: found.parts.map { |part| Scene.part(part) },
            shown: found.shown && Scene.dimension(found.shown),
            says: say("quickens.#{found.motion}", **amount(found.deg.round))
          }
        end

        # How far, and which way where a joint goes both ways.
        def amount(deg) = { deg: deg.abs, way: say(deg.negative? ? :above : :below) }

        # Seconds of the parts of "up", as printed.
        def ups(tempo)
          (tempo.slow_s ? [tempo.slow_s, tempo.up_s - tempo.slow_s] : [tempo.up_s]).map do |seconds|
            Load.number(seconds.round(1))
          end
        end
        def say(key, **params) = Formats::Words.say("tempo.#{key}", **params)
        private_class_method :amount, :ups, :say
      end
    end
  end
end
