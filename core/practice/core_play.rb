# frozen_string_literal: true

module Verglas
  module Practice
    # How the core itself plays: it asks, takes the reading that helps most while one does, sets the advised marks,
    # watches, says what is probably behind what is seen, moves, and accepts; whom a caution bars it refuses.
    module CorePlay
      FIGURES = MadeUp::TABLE[:play]

      module_function

      # readings: those that were taken by somebody else, with whom it is compared; nil for its own. Answers a Play that
      # is over.
      def of(made_up, readings: nil)
        play = Play.new(made_up, [])
        while (step = step(play, readings))
          play.carry_out(step)
        end
        play
      end

      # What the core does next there; nil where it is over.
      def step(play, readings = nil)
        return if play.over?
        return { "do" => "ask" } unless play.asked?
        return { "do" => "refuse" } if play.made_up.barring

        taking(play, readings) || standing(play) || looking(play)
      end

      # Which reading it would take next; nil where none is worth it.
      def reading(play)
        return if play.readings.size >= FIGURES[:readings]

        offer = play.advice.next_readings.first
        offer&.observation if offer&.worth_taking?
      end

      def taking(play, readings)
        name = readings ? (readings - play.readings).first : reading(play)
        { "do" => "take", "observation" => name.to_s } if name
      end

      # The advised marks, before anybody is watched.
      def standing(play)
        return if play.looks.any? || play.indices == advised(play)

        set(play, advised(play))
      end

      def advised(play) = play.made_up.machine.indices(play.advice.marks)

      def looking(play)
        last = play.looks.last or return watch(play)

        told(play, last) || cueing(play, last) || moving(play, last) || accept(play, last)
      end

      # Each sign that was seen gets its likeliest cause.
      def told(play, last)
        sign = last.seen.find { |name| !play.causes.key?([play.looks.size, name]) } or return
        { "do" => "cause", "sign" => sign.to_s, "cause" => cause(play, sign).to_s }
      end

      def cause(play, sign) = play.reading.causes(sign, play.indices).first.cause.name

      def moving(play, last)
        return if last.indices != play.indices || play.looks.size >= FIGURES[:watches]

        move = play.reading.move(play.indices)
        set(play, move.indices) if move
      end

      # For what no notch mends.
      def cueing(play, last)
        cue = last.seen.flat_map { |sign| cues(play, sign) }.find { |name| !play.cues.include?(name) }
        { "do" => "cue", "cue" => cue.to_s } if cue
      end

      # Of a sign that no number shows.
      def cues(play, sign)
        return [] if Guidance::Signs::ALL.fetch(sign).shows

        Guidance::Cues.of(play.made_up.machine.family, sign, play.made_up.effect.spared).first(1)
      end

      # Watched again after a move or a cue, while it may be.
      def accept(play, last)
        said = play.actions.rindex { |action| action["do"] == "cue" }
        changed = last.indices != play.indices || (said && said > play.actions.rindex { |one| one["do"] == "watch" })
        return watch(play) if changed && play.looks.size < FIGURES[:watches]

        load = play.made_up.first_load_kg
        load && play.load_kg.nil? ? { "do" => "load", "kg" => load } : { "do" => "accept" }
      end

      # Names what is to be seen there.
      def watch(play)
        seen, = play.made_up.watched(play.reading.knowledge, play.indices, said: play.cues)
        { "do" => "watch", "named" => seen.map(&:to_s) }
      end

      def set(play, indices) = { "do" => "set", "marks" => play.made_up.machine.marks(indices) }
      private_class_method :taking, :standing, :looking, :told, :moving, :cueing, :cues, :accept, :watch, :set
    end
  end
end
