# frozen_string_literal: true

module Verglas
  module Application
    # A gym's data as tables, line by line (docs/formats/csv.md). Nothing of it speaks of anybody's health: of a set
    # that sent somebody back it says that, not why.
    class Outgoing
      def initialize(gym)
        @gym = gym
        @out = Store::Queries::TablesOut.new(gym)
      end

      # kind: the name of a table. An Enumerator of lines, the header first.
      def lines(kind)
        sheet = Formats::Csv::Sheets.fetch(kind)
        Enumerator.new do |told|
          told << sheet.header
          rows(sheet.name).each { |values| told << sheet.line(values) }
        end
      end

      private

      def rows(name) = send(name)
      def clients = @out.clients.lazy.map { |row| row.merge(body_mass: row[:body_mass_kg]) }
      def readings = @out.readings.lazy.map { |row| row.merge(reading: row[:observation], value: row[:value_mm]) }
      def machines = @gym.machines.all.map { |row| machine(row) }
      def marks = @gym.machines.all.flat_map { |row| marks_of_machine(row) }
      def fittings = @out.fittings.lazy.map { |row| fitting(row) }
      def visits = @out.visits.lazy.map { |row| set(row) }

      def movements = @out.movements.lazy.flat_map { |row| repetitions(row) }

      # A row a repetition.
      def repetitions(row)
        review = Movement.new(row[:movement]["asked"], row[:movement]["found"]).review
        seen = { fell_onto_stop: review.slam?, phone_slipped: review.slipped? }
        Told::Movement.review(review)[:repetitions]
          .each
          .with_index(1)
          .map { |one, number| { **row, set: row[:number], leg: row[:leg].to_s, **seen, **one, repetition: number } }
      end

      def machine(row)
        row.merge(
          user_mass_limit: row[:user_mass_limit_kg],
          loading: row[:loading]&.to_h,
          lengths: Intake::Lengths.of(row)
        )
      end

      # A row a mark: the shared adjusters first, then each exercise's own.
      def marks_of_machine(row)
        Described
          .parts(row)
          .flat_map { |exercise, adjusters| adjusters.flat_map { |adjuster| marks_of(row, exercise, adjuster) } }
      end

      def marks_of(row, exercise, adjuster)
        round = adjuster.fetch("walk_round", {}).transform_keys(&:to_sym)
        same = {
          **round,
          machine_id: row[:id],
          machine: row[:name],
          exercise: exercise,
          adjuster: adjuster["label"],
          moves: adjuster["drives"],
          same_as: adjuster["same_as"]
        }
        adjuster["marks"].each_with_index.map do |mark, index|
          { **same, mark: mark, travel: adjuster["travel"]&.fetch(index, nil) }
        end
      end

      def fitting(row)
        work = row[:work]
        {
          **row,
          marks: row[:marks].to_h,
          load_mass: work["load_kg"],
          repetitions: work["repetitions"],
          sets: work["sets"],
          last: work["last"]
        }
      end

      def set(row)
        done = row[:number].nil? ? {} : { last: row[:how]["last"], range: row[:how]["reached"], counts: counts(row) }
        {
          **row,
          planned: row[:planned_kg],
          set: row[:number],
          load: row[:load_kg],
          leg: row[:leg].to_s,
          help: row[:kind].to_s,
          helped: row[:helped].to_i.nonzero?,
          **done
        }
      end

      def counts(row)
        return "back" if row[:sends_back]

        row[:clean] ? "clean" : "held"
      end
    end
  end
end
