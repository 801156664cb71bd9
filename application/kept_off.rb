# frozen_string_literal: true

module Verglas
  module Application
    # What keeps several people off machines today, their rows read together: for lists, which compute no marks.
    class KeptOff
      # Several people on one machine, in the order of their ids: [[Meeting, the latest accepted fitting's row or nil],
      # ...].
      def self.benches(gym, machine_row, exercise, ids)
        return [] if ids.empty?

        last = gym.fittings.last_accepted_of(ids, machine_row[:id], exercise)
        shared = Meeting::Shared.of(gym)
        Store::Queries::People
          .new(gym)
          .call(ids)
          .map do |id, person|
            how = { machine_row: machine_row, exercise: exercise, shared: shared, fitting: last[id] }
            [Meeting.among(gym, person, **how), last[id]]
          end
      end

      def initialize(gym, ids)
        @gym = gym
        @people = Store::Queries::People.new(gym).call(ids.uniq)
        @plates = gym.equipment.plates
      end

      # Bars; exercise: its name, "" on a machine with one.
      def bars(client_id, machine_row, exercise)
        person = @people.fetch(client_id)
        OneLine.of(machine_row[:id], -> { [OneLine::BAR] }) do
          family = Machines::Families.fetch(machine_row[:family]).exercise(exercise)
          Safety
            .new(@gym, client: person.row, machine_row: machine_row, rows: person.cautions, plates: @plates) do
              body(person)
            end
            .bars(family)
        end
      end

      private

      def body(person) = ClientBody.estimation(person.row, person.readings, checked: CheckedFittings.of(person.checked))
    end
  end
end
