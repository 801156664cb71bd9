# frozen_string_literal: true

module Verglas
  module Demo
    # What the people of the demo gym lifted between fittings: [days ago, load in kg, how each set's last repetition
    # went, share of the range] a visit, oldest first, from the fitting that stood then.
    class Visits
      DAY_S = 86_400
      WORDS = { "e" => "easy", "c" => "clean", "n" => "not_reached" }.freeze

      def initialize(gym, by:)
        @gym = gym
        @by = by
      end

      def write(client, machine_row, exercise, rows)
        fittings =
          @gym
            .fittings
            .dataset
            .where(client_id: client[:id], machine_id: machine_row[:id], exercise: exercise, state: "accepted")
            .order(:accepted_at)
            .all
        meeting = Application::Meeting.new(@gym, client: client, machine_row: machine_row, exercise: exercise)
        felt = Guidance::Regions.of(meeting.machine.family).first.name.to_s
        rows.each { |row| visit(fittings, felt, *row) }
      end

      private

      def visit(fittings, felt, days, load_kg, sets, reached = 1)
        at = Time.now - (days * DAY_S)
        fitting = fittings.reverse.find { |one| one[:accepted_at] <= at } || fittings.first
        row = @gym.visits.begin(fitting, planned_kg: load_kg, since: Time.now + DAY_S, by: @by)
        sets.chars.each { |letter| set(row, load_kg, { last: WORDS.fetch(letter), reached: reached, felt: felt }) }
        @gym.visits.dataset.where(id: row[:id]).update(begun_at: at, last_at: at)
        @gym.db[:sets].where(visit_id: row[:id]).update(done_at: at)
      end

      def set(visit, load_kg, how)
        done =
          Loading::DoneSet.new(
            load_kg: load_kg,
            last: how[:last].to_sym,
            reached: how[:reached],
            joint: false,
            sign: false,
            one_leg: false
          )
        @gym.visits.add(
          visit[:id],
          stops: false,
          by: @by,
          load_kg: load_kg,
          repetitions: 10,
          leg: "",
          how: how,
          clean: done.clean?,
          sends_back: done.sends_back?,
          watched_by: @by
        )
      end
    end
  end
end
