# frozen_string_literal: true

module Verglas
  module Practice
    # How a play went that is over, against the core's own with the same readings and signs: parts from 0 to 1, and what
    # they make of a hundred.
    class Verdict
      FIGURES = MadeUp::TABLE[:score]
      PARTS = %i[fit moves readings signs causes cues load].freeze

      def initialize(play)
        @play = play
      end

      attr_reader :play

      def made_up = play.made_up
      def core = @core ||= CorePlay.of(made_up, readings: made_up.barring ? nil : play.readings)
      # By itself, with the readings that it takes.
      def own = @own ||= CorePlay.of(made_up)

      # What was done about cautions: :barred_accepted, :refused_wrongly, :not_asked (nil where all is right).
      def caution
        return :barred_accepted if made_up.barring && !play.refused?
        return :refused_wrongly if play.refused? && !made_up.barring

        :not_asked unless play.asked?
      end

      # {part => 0..1}, without what did not arise; nothing where somebody was refused, rightly or not.
      def parts
        @parts ||=
          if play.refused? || caution == :barred_accepted
            {}
          else
            PARTS.to_h { |part| [part, send(part)] }.compact
          end
      end

      # Of a hundred.
      def total
        return caution ? 0 : 100 if play.refused?
        return 0 if caution == :barred_accepted

        weights = FIGURES.slice(*parts.keys)
        whole = parts.sum { |part, share| weights[part] * share } / weights.values.sum.to_f
        [(100 * whole).round - (caution == :not_asked ? FIGURES[:not_asked] : 0), 0].max
      end

      # A fit that is nothing is none, whatever else went well.
      def passed? = total >= FIGURES[:pass] && parts.fetch(:fit, 1.0) >= 0.5

      # As far as it can be known, the severity that is left: theirs and the core's.
      def severities = @severities ||= [play, core].map { |one| outlook.severity(one.indices) }
      # How it truly is: the worst that is left.
      def true_severities = [play, core].map { |one| made_up.true_severity(made_up.wishes, one.indices) }

      private

      # With everything that either saw.
      def outlook
        @outlook ||= Fitting::Outlook.new(Knowing.of(made_up, play.readings, looks).knowledge, core.indices)
      end
      def looks = [*core.looks, *play.looks].uniq(&:indices)

      def fit
        theirs, ours = severities
        (1 - ([theirs - ours, 0].max / FIGURES[:severity])).clamp(0.0, 1.0)
      end

      def moves = (1 - (FIGURES[:a_move] * [play.moves - core.moves, 0].max)).clamp(0.0, 1.0)

      # Those that the core takes, and none that are worth nothing.
      def readings
        wrong = (own.readings - play.readings).size - (play.readings - own.readings).size
        useless = [play.readings.size - CorePlay::FIGURES[:readings], 0].max
        (1 - (FIGURES[:a_reading] * ([wrong, 0].max + useless))).clamp(0.0, 1.0)
      end

      # Of all that was seen or named, the share that was both; whoever never watched named nothing.
      def signs
        return 0.0 if play.looks.empty?

        pairs = play.looks.map { |look| [look.seen & look.named, look.seen | look.named] }
        all = pairs.sum { |_, either| either.size }
        all.zero? ? 1.0 : pairs.sum { |both, _| both.size } / all.to_f
      end

      # The likeliest cause of each sign that was seen first; nil where none was seen.
      def causes
        return if first_seen.empty?

        first_seen.count { |key, sign| play.causes[key] == likeliest(*key) || same?(key, sign) } / first_seen.size.to_f
      end

      # {[look, sign] => sign} of signs where they were seen first.
      def first_seen
        @first_seen ||=
          play
            .looks
            .each
            .with_index(1)
            .with_object({}) do |(look, number), all|
              (look.seen - all.values).each { |sign| all[[number, sign]] = sign }
            end
      end

      def likeliest(number, sign)
        before = play.looks.first(number)
        Knowing.of(made_up, play.readings, before).causes(sign, before.last.indices).first.cause.name
      end

      # Said at a later look of the same sign.
      def same?(key, sign)
        play.causes.any? do |(number, name), cause|
          name == sign && number > key.first && cause == likeliest(number, sign)
        end
      end

      # Whether what no notch mends was met by a cue; nil where there is nothing of the kind.
      def cues = made_up.technique && (made_up.mended?(play.cues) ? 1.0 : 0.0)

      # No heavier than one begins with; nil where nothing can be loaded.
      def load
        return if made_up.loads.empty?
        return 0.0 if play.load_kg.nil?

        over = made_up.loads.index(play.load_kg) - made_up.loads.index(made_up.first_load_kg)
        (1 - (FIGURES[:a_step] * [over, 0].max)).clamp(0.0, 1.0)
      end
    end
  end
end
