# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # Who was here lately by the machines of the floor. people, cards: rows, {[client, machine, exercise] => card};
      # columns: [machine's row, exercise]; places: of all machines; due: {fitting id => RefitsDue::Due}.
      Board =
        Value.define(:people, :cards, :columns, :places, :due, :kept_off) do
          # since: Time; place: of the machines that are shown, nil for all.
          def self.of(gym, since:, place: nil)
            found = Store::Queries::BoardCards.new(gym).call(since: since)
            machines = gym.machines.in_service
            shown = machines.select { |row| place.nil? || row[:place] == place }
            new(
              people: found[:people],
              cards: found[:cards],
              columns: shown.flat_map { |row| columns(row, found[:cards]).map { |exercise| [row, exercise] } },
              places: machines.map { |row| row[:place] }.uniq,
              due: RefitsDue.new(gym).call.to_h { |one| [one.row[:id], one] },
              kept_off: KeptOff.new(gym, found[:people].map { |row| row[:id] })
            )
          end

          # What a machine is there for, and what else somebody has a card of.
          def self.columns(row, cards)
            other = cards.keys.select { |_, machine_id, _| machine_id == row[:id] }.map(&:last)
            [*Described.exercises(row).map(&:to_s), *other].uniq
          end
          private_class_method :columns

          # Bars of a client on a machine's exercise.
          def bars(client_id, machine_row, exercise) = kept_off.bars(client_id, machine_row, exercise)
        end
    end
  end
end
