# frozen_string_literal: true

module Verglas
  module Application
    # What can be said to a client at a machine, by sign or by where a set was felt; how it went on is kept with the
    # fitting or the set, and counted for the gym with nobody's name.
    class SaidCues
      # name; words; own: whether the gym wrote it; helped, tried: here; theirs: whether it helped this client.
      Told = Struct.new(:name, :words, :own, :helped, :tried, :theirs, keyword_init: true)
      OFFERED = 3

      # What was said, {"cue", "about", "went"}, of what can be said on a machine. Raises Invalid.
      def self.check(gym, machine, uses, path)
        return if uses.empty?

        own = gym.cues.all.reject { |row| row[:words].empty? }.map { |row| [row[:name], row[:about]] }
        uses.each_with_index do |use, index|
          name, about = use.values_at("cue", "about")
          known =
            Guidance::Cues::ABOUT.include?(about.to_sym) &&
              (Guidance::Cues.of(machine.family, about.to_sym).include?(name.to_sym) || own.include?([name, about]))
          raise Invalid.new(:unknown_cue, path: "#{path}/#{index}", cue: name) unless known
        end
      end

      def self.count(gym, uses)
        uses.each { |use| gym.cues.count(use["cue"], about: use["about"], helped: use["went"] == "better") }
      end

      def initialize(meeting)
        @meeting = meeting
      end

      # [Told] for a sign or a region, the best first.
      def of(about, most: OFFERED)
        rows = counted.fetch(about.to_s, {})
        own = free? ? rows.reject { |_, row| row[:words].empty? }.keys : []
        names = [*Guidance::Cues.of(@meeting.machine.family, about.to_sym, spared), *own.map(&:to_sym)]
        counts = names.to_h { |name| [name, count(rows[name.to_s])] }
        Guidance::Cues
          .ranked(names, counts: counts, theirs: theirs(about))
          .first(most)
          .map { |name| told(name, counts[name], rows[name.to_s], theirs(about).include?(name)) }
      end

      private

      # What the client's cautions keep from them; a belt too where the machine has none.
      def spared
        @spared ||= [
          *@meeting.caution_effect.spared,
          *(:belt unless @meeting.safety.belt?(@meeting.machine.family))
        ].uniq
      end

      # The gym's own words say to nobody what they ask for: they are told to somebody without any caution.
      def free? = @meeting.safety.rows.empty?

      # {about => {name => row}} of the gym.
      def counted
        @counted ||=
          @meeting
            .gym
            .cues
            .all
            .group_by { |row| row[:about] }
            .transform_values { |rows| rows.to_h { |row| [row[:name], row] } }
      end

      def count(row) = row ? Guidance::Cues::Count.new(row[:helped], row[:tried]) : Guidance::Cues::NONE

      # What helped this client with it, on any machine.
      def theirs(about)
        said.select { |use| use["about"] == about.to_s && use["went"] == "better" }.map { |use| use["cue"].to_sym }
      end

      def said = @said ||= @meeting.rows.cues_said

      def told(name, count, row, theirs)
        words = row && !row[:words].empty? ? row[:words] : Formats::Words.say("cues.#{name}")
        own = !row.nil? && !row[:words].empty?
        Told.new(name: name.to_s, words: words, own: own, helped: count.helped, tried: count.tried, theirs: theirs)
      end
    end
  end
end
