# frozen_string_literal: true

module Verglas
  module Practice
    # Somebody at work on a MadeUp, from what they did so far. Nothing is carried on: the same actions on the same
    # client are the same play.
    class Play
      # What can be done: ask about cautions, take a reading, set marks, watch and name the signs that are seen, say
      # what is behind one, say a cue, choose the load to begin with, refuse, accept.
      KINDS = %w[ask take set watch cause cue load refuse accept].freeze
      OVER = %w[refuse accept].freeze
      # What belongs to each.
      NEEDS = {
        "take" => %w[observation],
        "set" => %w[marks],
        "watch" => %w[named],
        "cause" => %w[sign cause],
        "cue" => %w[cue],
        "load" => %w[kg]
      }.freeze
      # One watched repetition: at which marks, what was seen, what was not, and which of it was named.
      Look = Struct.new(:indices, :seen, :not_seen, :named)

      attr_reader :made_up, :actions, :readings, :looks, :causes, :cues, :load_kg, :indices

      # actions: [{"do" => one of KINDS, ...}], in their order. Raises Invalid for one that cannot be done there.
      def initialize(made_up, actions)
        @made_up = made_up
        @actions = []
        @readings = []
        @looks = []
        @causes = {}
        @cues = []
        @indices = made_up.start
        @moves = 0
        actions.each { |action| carry_out(action) }
      end

      def asked? = did?("ask")
      def over? = actions.any? { |action| OVER.include?(action["do"]) }
      def refused? = did?("refuse")

      # How often marks were changed once somebody had been watched at them.
      attr_reader :moves

      # The client as they are known: by what was taped, and by what was seen at which marks (Guidance::SignReading).
      def reading = @reading ||= Knowing.of(made_up, readings, looks)
      def estimation = Knowing.estimation(made_up, readings)
      def advice = @advice ||= Knowing.advice(made_up, readings)

      # Seconds that all of it takes on the floor.
      def seconds = actions.sum { |action| MadeUp::TABLE[:seconds].fetch(action["do"].to_sym, 0) }

      # One more. Raises Invalid for what cannot be done there.
      def carry_out(action)
        missing = NEEDS.fetch(action["do"], []).find { |name| action[name].nil? }
        raise Invalid.new(:missing, path: "/deed/#{missing}", name: missing) if missing

        case action["do"]
        when "take"
          take(Body::Observation.fetch(action["observation"]).name)
        when "set"
          set(made_up.machine.indices(action["marks"]))
        when "watch"
          watch(action["named"].map(&:to_sym))
        when "cause"
          say_cause(action["sign"].to_sym, action["cause"].to_sym)
        when "cue"
          say_cue(action["cue"].to_sym)
        when "load"
          choose(action["kg"])
        end
        @actions << action
      end

      private

      def did?(kind) = actions.any? { |action| action["do"] == kind }

      def take(name)
        return if readings.include?(name)

        @readings << name
        @reading = @advice = nil
      end

      def set(indices)
        @moves += 1 if looks.any? && indices != @indices
        @indices = indices
      end

      def watch(named)
        unknown = named - Guidance::Signs.of(made_up.machine)
        raise Invalid.new(:unknown_sign, path: "/named", sign: unknown.first.to_s) if unknown.any?

        seen, not_seen = made_up.watched(reading.knowledge, indices, said: cues)
        @looks << Look.new(indices, seen, not_seen, named)
        Knowing.look(reading, looks.last)
      end

      def say_cause(sign, cause)
        known = Guidance::Signs.causes(made_up.machine, sign).map(&:name)
        raise Invalid.new(:not_allowed, path: "/cause") unless known.include?(cause)

        @causes[[looks.size, sign]] = cause
      end

      def choose(kg)
        raise Invalid.new(:load_not_there, path: "/kg") unless made_up.loads.include?(kg)

        @load_kg = kg
      end

      def say_cue(cue)
        raise Invalid.new(:not_allowed, path: "/cue") unless Guidance::Cues::ALL.any? { |one| one.name == cue }

        @cues << cue
      end
    end
  end
end
