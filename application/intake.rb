# frozen_string_literal: true

require "json"

module Verglas
  module Application
    # A file on its way into a gym: it arrives in chunks, is read into rows, each row is checked against what stands
    # (nothing is written), and then all of it is taken in at once, or nothing. Every step may be asked for again; what
    # was let go leaves nothing behind. docs/formats/README.md
    class Intake
      # Rows of one piece: checked together; of marks, which belong together by machine, all.
      PIECE = 1000
      PIECES = { gym: 200, marks: 10_000 }.freeze
      SHEETS = {
        clients: "Clients",
        readings: "Readings",
        machines: "Machines",
        marks: "Marks",
        fittings: "Fittings",
        visits: "Visits"
      }.freeze
      GYM = :gym
      # Told one by one.
      MOST_TOLD = 500
      CHUNK_BYTES = 700_000
      TAKEN_MS = 10 * 60 * 1000
      # Those that others refer to by the thousand.
      GROWING = %i[clients fittings visits].freeze

      # by: the id of whoever takes it in.
      def initialize(gym, by:)
        @gym = gym
        @by = by
        @imports = gym.imports
      end

      # units: {"length" => "cm", "mass" => "kg"}, for numbers that say none.
      def begin(kind:, bytes:, units:)
        refuse_filled if kind.to_sym == GYM
        @imports.insert(kind: kind, bytes: bytes, units: units, by: @by)
      end

      # A part of the file, in its place; the same again changes nothing.
      def receive(row, number, bytes)
        raise Invalid.new(:import_closed, path: "") unless row[:state] == "arriving"
        raise Invalid.new(:too_many_bytes, path: "/number") if number >= (row[:bytes] / CHUNK_BYTES) + 64

        @imports.put_chunk(row[:id], number, bytes)
      end

      # The next thing to be done with it: reading, then a piece of checking. Answers its row.
      def step(row)
        case row[:state]
        when "arriving"
          read(row)
        when "checking"
          check_next(row)
        end
        @imports.find(row[:id])
      end

      # All at once. leave: whether rows that are refused are left aside; until_asked: whether whoever is added is
      # barred from every machine until somebody has asked them about cautions.
      def take(row, leave:, until_asked:)
        raise Invalid.new(:import_not_checked, path: "") unless row[:state] == "checked"

        @gym.db.transaction do
          @gym.allow(TAKEN_MS)
          @gym.expect_many(GROWING) if row[:pieces] > 1
          counts = row[:kind].to_sym == GYM ? Archive.new(@gym, row, by: @by).take : take_rows(row, leave, until_asked)
          @imports.close(row[:id], counts)
        end
        @imports.find(row[:id])
      end

      # What a checked file would do, row by row: those that are refused, change something or have a namesake. [[line,
      # action, wrong as plain data, what it is about, what it tells]]
      def told(row)
        @imports
          .outcomes(row[:id])
          .values
          .flatten(1)
          .sort_by { |line, action| [action == "refuse" ? 0 : 1, line] }
          .first(MOST_TOLD)
      end

      # Where one file is taken in from a disk: every step of it, one after the other. Yields the import's row after
      # each.
      def whole(kind:, file:, units: {}, **taking, &block)
        row = self.begin(kind: kind, bytes: file.size, units: units)
        number = -1
        receive(row, number += 1, file.read(CHUNK_BYTES)) until file.eof?
        row = step(row).tap(&block) until row[:state] == "checked"
        take(row, **taking)
      end

      private

      def refuse_filled
        raise Invalid.new(:gym_not_empty, path: "/kind") unless @gym.empty?
      end

      def read(row)
        raise Invalid.new(:import_incomplete, path: "") unless @imports.arrived(row[:id]) == row[:bytes]

        read = Parsing.new(@imports, row)
        read.call
        @imports.forget_chunks(row[:id])
        @imports.update(
          row[:id],
          state: read.pieces.zero? ? "checked" : "checking",
          rows: read.rows,
          pieces: read.pieces,
          head: read.head
        )
      end

      def check_next(row)
        number = row[:checked] + 1
        outcomes, keys = checker(row).call(@imports.piece(row[:id], number))
        @imports.add_keys(row[:id], keys)
        told =
          outcomes
            .reject { |outcome| %i[add same].include?(outcome.action) && outcome.tells.nil? }
            .map { |outcome| plain(outcome) }
        @imports.put_outcomes(row[:id], number, told) if told.any?
        counts = count(row[:counts].to_h, outcomes)
        last = number == row[:pieces]
        @imports.update(row[:id], checked: number, state: last ? "checked" : "checking", counts: counts)
        hold_together(row[:id], counts) if last
      end

      def count(counts, outcomes)
        outcomes.map { |outcome| outcome.action.to_s }.tally.merge(counts) { |_, now, before| now + before }
      end

      # What stands twice in the file, and what points at nothing there.
      def hold_together(id, counts)
        @imports.look_at_keys
        twice =
          @imports
            .repeated(id, limit: MOST_TOLD)
            .map { |line, first| Outcome.refuse(line, Invalid.new(:stands_twice, path: "", first: first)) }
        nowhere =
          @imports
            .dangling(id, limit: MOST_TOLD)
            .map { |line, key| Outcome.refuse(line, Invalid.new(:refers_nowhere, path: "", key: key)) }
        return if twice.empty? && nowhere.empty?

        @imports.put_extra(id, [*twice, *nowhere].map { |outcome| plain(outcome) })
        @imports.update(id, counts: count(counts, [*twice, *nowhere]))
      end

      def plain(outcome)
        wrong =
          outcome.wrong &&
            {
              "code" => outcome.wrong.code,
              "path" => outcome.wrong.path,
              "message" => Formats::Words.error(outcome.wrong.code, outcome.wrong.params)
            }
        [outcome.line, outcome.action, wrong, about(outcome.said), outcome.tells]
      end

      # By what somebody finds the row.
      def about(values)
        if values.is_a?(Hash)
          values.values_at(:name, :client, :machine, :adjuster, :mark, :reading, :set).compact.first(3).join(", ")
        else
          ""
        end
      end

      def checker(row) = row[:kind].to_sym == GYM ? Archive.new(@gym, row, by: @by) : Rows.new(sheet(row), row)
      def sheet(row) = Intake.const_get(SHEETS.fetch(row[:kind].to_sym)).new(@gym, by: @by)

      # As they stand now: what was refused meanwhile is refused.
      def take_rows(row, leave, until_asked)
        rows = Rows.new(sheet(row), row)
        aside = @imports.refused_lines(row[:id])
        leave &&= rows.sheet.apart?
        (1..row[:pieces]).inject({}) do |all, number|
          @gym.expect_many(GROWING) if number > 1
          outcomes = rows.outcomes(@imports.piece(row[:id], number), aside)
          if !leave && outcomes.any?(&:refused?)
            raise Invalid.new(:rows_refused, path: "", count: outcomes.count(&:refused?))
          end

          added = rows.sheet.write(outcomes.reject(&:refused?))
          @gym.trail.add_all(MADE, added, by: @by)
          @gym.cautions.add_to_all(added, NOT_ASKED, by: @by) if until_asked
          count(all, outcomes)
        end
      end

      NOT_ASKED = "not_asked"
      # How the trail tells of each person whom a file brings.
      MADE = "made_by_import"
      private_constant :NOT_ASKED, :MADE
    end
  end
end
