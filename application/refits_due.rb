# frozen_string_literal: true

require "date"

module Verglas
  module Application
    # Which of a gym's settings should be looked at again, and why: the facts of its latest cards, and the advice
    # computed anew where a length was read since.
    class RefitsDue
      # Of so many of them the advice is computed, because somebody waits for it; the others are asked the next time.
      COMPUTED = 25
      # Where a fit can be seen by eye.
      SEEN = :turns_on_pivot

      # bars: what keeps the client off the machine by now.
      Due = Struct.new(:row, :reasons, :bars)

      def initialize(gym, today: Date.today)
        @gym = gym
        @today = today
      end

      # [Due], the weightiest first, the longest since among those; none that was put off until later.
      def call
        asked = rows.reject { |row| row[:snoozed_until] }.map { |row| [row, reasons(row)] }
        due = asked.reject { |_, reasons| reasons.empty? }.map { |row, reasons| Due.new(row, reasons, bars(row)) }
        due.sort_by { |one| [Planning::Refits.rank(one.reasons.first), one.row[:accepted_at]] }
      end

      # The day on which each card is due in any case, or to which it was put off: [row, Date]; none for whom something
      # keeps off.
      def days = rows.reject { |row| bars(row).any? }.map { |row| [row, day(row)] }

      private

      # What cannot be computed is looked at again too.
      def reasons(row)
        OneLine.of(row[:machine_id], -> { [Planning::Refits::NOT_COMPUTED] }) { Planning::Refits.of(card(row)) }
      end

      def day(row)
        due = row[:accepted_at].to_date >> Planning::Refits.months(years(row))
        put_off = row[:snoozed_until] or return due

        reasons(row).any? ? put_off : [due, put_off].max
      end

      def rows = @rows ||= Store::Queries::RefitFacts.new(@gym).call(@today)

      def card(row)
        told = {
          months: months(row[:accepted_at].to_date),
          years: years(row),
          notches: notches[row[:id]],
          load_ratio: ratio(row),
          caution_changed: row[:caution_since]
        }
        seen = { checkable: family(row).tags[SEEN], checked: !row[:knee_off_mm].nil? || row[:roller_seen] }
        Planning::Refits::Card.new(
          **row.slice(:visits, :whole_visits, :redescribed),
          **told,
          **seen,
          sent_back: row[:sent_back] == true
        )
      end

      def bars(row)
        (@bars ||= {})[row[:id]] ||= kept_off.bars(row[:client_id], machines.fetch(row[:machine_id]), row[:exercise])
      end
      def kept_off = @kept_off ||= KeptOff.new(@gym, rows.map { |row| row[:client_id] })
      def machines = @machines ||= @gym.machines.in_service.to_h { |row| [row[:id], row] }
      def months(from) = ((@today.year - from.year) * 12) + @today.month - from.month - (@today.day < from.day ? 1 : 0)
      def years(row) = row[:birth_date] && (months(row[:birth_date]) / 12)
      def ratio(row) = row[:first_kg]&.positive? ? (row[:last_kg] / row[:first_kg]).to_f : nil
      def family(row) = Machines::Families.fetch(row[:family]).exercise(row[:exercise])

      # {fitting id => by how many notches the advice has moved at most}, of those whose client was read since.
      def notches
        @notches ||=
          begin
            read = rows.select { |row| row[:read_since] }.first(COMPUTED)
            people = Store::Queries::People.new(@gym).call(read.map { |row| row[:client_id] })
            read.to_h { |row| [row[:id], notches_of(row, people)] }
          end
      end

      def notches_of(row, people)
        OneLine.of(row[:machine_id], -> {}) do
          kept(row, people.fetch(row[:client_id]), machines.fetch(row[:machine_id]))
        end
      end

      def kept(row, person, machine_row)
        @shared ||= Meeting::Shared.of(@gym)
        basis =
          Fingerprint.of(
            row.slice(:id, :exercise),
            row[:marks].to_h,
            person.to_a,
            Fingerprint.machine(machine_row),
            @shared.to_a,
            @today
          )
        # Kept until body, cautions, rules or machine change.
        Kept
          .shared
          .of(:moved, basis) do
            [
              moved(
                row,
                Meeting.among(@gym, person, machine_row: machine_row, exercise: row[:exercise], shared: @shared)
              )
            ]
          end
          .first
      end

      def moved(row, meeting)
        return if meeting.bars.any? || meeting.advice.status.nil?

        meeting
          .machine
          .adjusters
          .filter_map do |adjuster|
            pair =
              [row[:marks].to_h[adjuster.label], meeting.advice.marks[adjuster.label]].map do |mark|
                adjuster.marks.index(mark)
              end
            (pair.first - pair.last).abs if pair.all?
          end
          .max
      end
    end
  end
end
