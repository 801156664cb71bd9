# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's card, a line a machine and exercise: what was accepted, as far as it can be set up again today, and
      # the draft on top of it.
      module CardLines
        module_function

        # rows: of Store::Queries::ClientCard; machines: those in service; known: what was read of the client already,
        # as Meeting takes it.
        def of(gym, client, rows, machines:, readings:, known:)
          described = machines.to_h { |machine| [machine[:id], machine] }
          lifted = Store::Queries::LatestLoads.new(gym).call(client[:id])
          given = {
            rules_chosen: gym.rules.chosen(client[:id]),
            equipment: gym.equipment.sizes,
            plates: gym.equipment.plates,
            **known
          }
          rows.map do |row|
            machine = described[row[:machine_id]] if row[:state] == "accepted"
            meeting =
              machine &&
                Application::Meeting.new(
                  gym,
                  client: client,
                  machine_row: machine,
                  exercise: row[:exercise],
                  readings: readings,
                  given: given
                )
            line(row, meeting, lifted[row.values_at(:machine_id, :exercise)])
          end
        end

        # lifted: the set that was lifted there last; nil where none was since.
        def line(row, meeting, lifted)
          draft = row[:state] == "draft" ? row : row[:draft]
          accepted = row[:state] == "accepted" ? Fitting.history_line(row) : nil
          {
            machine: {
              id: row[:machine_id],
              name: row[:machine_name],
              place: row[:machine_place]
            },
            exercise: row[:exercise],
            accepted: accepted && { **accepted, **today(row, meeting, lifted) },
            outdated: meeting ? outdated(meeting, row) : [],
            draft: draft && { id: draft[:id], by: draft[:by_name], updated_at: Told.time(draft[:updated_at]) }
          }
        end

        # The load that was lifted last, as printed; none where it is not known to be allowed.
        def today(row, meeting, lifted)
          limit = meeting&.load_limit_kg
          printed = lifted && meeting&.rig && Told::Load.printed(meeting.rig, lifted[:load_kg])
          { load: limit.nil? || (lifted && lifted[:load_kg] <= limit) ? printed || row[:load] : "" }
        end

        # What can no more stand at these marks, where nothing else bars.
        def outdated(meeting, row)
          return [] if meeting.bars.any?

          marks = Application::Sheet.repaired(meeting, row[:marks].to_h)
          Told::Barred.at(meeting, meeting.evaluation(marks, row[:aids].to_h))
        end
        private_class_method :line, :today, :outdated
      end
    end
  end
end
