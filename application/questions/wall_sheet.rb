# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # A machine's marks of everybody who was fitted on it and may be set up so today: benches [Meeting, fitting's
      # row with marks and aids as they are set today]; loads: {client id => the set that was lifted last}; people: how
      # many there are at all.
      WallSheet =
        Value.define(:gym_row, :machine_row, :exercise, :benches, :loads, :people) do
          def self.of(gym, machine_row, exercise, most:)
            found = Store::Queries::MachineFittings.new(gym).clients(machine_row[:id], limit: most)
            benches = KeptOff.benches(gym, machine_row, exercise, found[:rows].map { |person| person[:id] })
            standing = benches.filter_map { |meeting, fitting| fitting && today(meeting, fitting) }
            ids = standing.map { |meeting, _| meeting.client[:id] }
            new(
              gym_row: gym.row,
              machine_row: machine_row,
              exercise: exercise,
              benches: standing,
              loads: Store::Queries::LatestLoads.new(gym).on(machine_row[:id], exercise, ids),
              people: found[:of]
            )
          end

          # nil for whom something keeps off these marks today, or holds to a load: they have nothing on a wall to be
          # set up from.
          def self.today(meeting, fitting)
            OneLine.of(meeting.machine_row[:id], -> {}) do
              next if meeting.bars.any? || meeting.load_limit_kg

              stands = Sheet.today(meeting, fitting)
              refused = meeting.refusals(meeting.evaluation(*stands.values_at(:marks, :aids)))
              [meeting, { **fitting, **stands }] if refused.empty?
            end
          end
          private_class_method :today
        end
    end
  end
end
