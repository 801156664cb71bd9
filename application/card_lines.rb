# frozen_string_literal: true

module Verglas
  module Application
    # A client's card, a line a machine and exercise: what was accepted, as far as it can be set up again today, and the
    # draft on top of it.
    module CardLines
      # row: of Store::Queries::ClientCard; load: what was lifted last, as printed, "" where it is not known to be
      # allowed; outdated: what can no more stand at these marks, in sentences.
      # stands: marks and aids of today, nil where nothing was accepted or the machine is not in service.
      Line = Value.define(:row, :load, :stands, :outdated)

      module_function

      # rows: of Store::Queries::ClientCard; machines: those in service; known: what was read of the client already, as
      # Meeting takes it.
      def of(gym, client, rows, machines:, readings:, known:)
        described = machines.to_h { |machine| [machine[:id], machine] }
        lifted = Store::Queries::LatestLoads.new(gym).call(client[:id])
        logs = nil
        given = {
          rules_chosen: gym.rules.chosen(client[:id]),
          equipment: gym.equipment.sizes,
          plates: gym.equipment.plates,
          bands: gym.equipment.bands,
          logs: -> { logs ||= Logbook::All.new(gym, client[:id]) },
          **known
        }
        rows.map do |row|
          machine = described[row[:machine_id]] if row[:state] == "accepted"
          exercise = row[:exercise]
          how = { machine_row: machine, exercise: exercise, readings: readings, given: given }
          meeting = machine && Meeting.new(gym, client: client, **how)
          line(row, meeting, lifted[[row[:machine_id], exercise]])
        end
      end

      # lifted: the set that was lifted there last; nil where none was since.
      def line(row, meeting, lifted)
        stands = meeting && OneLine.of(meeting.machine_row[:id], -> {}) { Sheet.today(meeting, row) }
        outdated = meeting ? outdated(meeting, stands) : []
        Line.new(row: row, load: load(row, meeting, lifted), stands: stands, outdated: outdated)
      end

      # What is lifted there as far as it is known to be allowed; "" where not.
      def load(row, meeting, lifted)
        limit = meeting&.load_limit_kg
        printed = lifted && meeting&.rig && Told::Load.printed(meeting.rig, lifted[:load_kg])
        limit.nil? || (lifted && lifted[:load_kg] <= limit) ? printed || row[:load] : ""
      end

      # Where nothing else bars.
      def outdated(meeting, stands)
        return [] if stands.nil? || meeting.bars.any?

        Told::Barred.at(meeting, meeting.evaluation(stands[:marks], stands[:aids]))
      end
      private_class_method :line, :outdated
    end
  end
end
