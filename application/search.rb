# frozen_string_literal: true

module Verglas
  module Application
    # What a gym has under some letters: clients by name; machines by name, code, place, what the walk-round found, an
    # adjuster or one of its marks. Never in what speaks of somebody's health: notes of fittings and cautions are asked
    # by nobody.
    class Search
      CLIENTS = 20
      MACHINES = 20
      # Of a machine, beside what it is called, in the order in which they are told.
      NOTES = {
        state_note: ->(row) { row[:state_note] },
        getting_in: ->(row) { Told::Moves.getting_in(row) },
        getting_out: ->(row) { Told::Moves.getting_out(row) },
        left_behind: ->(row) { Told::Moves.left_behind(row) }
      }.freeze
      Found = Struct.new(:row, :why)

      def initialize(gym)
        @gym = gym
      end

      # Client rows; those in whose name a word begins so first.
      def clients(text)
        text.strip.length < 2 ? [] : Store::Queries::SearchClients.new(@gym).call(text, limit: CLIENTS)
      end

      # Found, those first that are called so; why: nil, or {note:, says:}, or {adjuster:, mark:, cards:}.
      def machines(text)
        wanted = Store::Folded.of(text.strip)
        return [] if wanted.empty?

        @gym
          .machines
          .all
          .filter_map { |row| machine(row, wanted) }
          .sort_by { |found| [found.why ? 1 : 0, found.row[:name]] }
          .first(MACHINES)
      end

      private

      def machine(row, wanted)
        return Found.new(row, nil) if has?(row.values_at(:name, :code, :place).join(" "), wanted)

        note, says = NOTES.transform_values { |read| read.call(row) }.find { |_, text| has?(text.to_s, wanted) }
        return Found.new(row, { note: note, says: says }) if note

        mark = wanted.length > 1 && marks(row).find { |label, mark| has?([label, mark].compact.join(" "), wanted) }
        Found.new(row, { adjuster: mark.first, mark: mark.last, cards: mark.last && cards(row, *mark) }) if mark
      end

      # Each adjuster, then each of its marks.
      def marks(row)
        Described
          .parts(row)
          .values
          .flatten(1)
          .flat_map do |adjuster|
            [[adjuster["label"], nil], *adjuster["marks"].map { |mark| [adjuster["label"], mark] }]
          end
      end

      # On how many of the latest cards it stands.
      def cards(row, label, mark)
        Store::Queries::MarkUse
          .new(@gym)
          .call(row[:id])
          .select { |use| use[:label] == label && use[:mark] == mark }
          .sum { |use| use[:count] }
      end

      def has?(text, wanted) = Store::Folded.of(text).include?(wanted)
    end
  end
end
