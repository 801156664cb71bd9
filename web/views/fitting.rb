# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Fittings: the bench's page, a card's line, a line of what was left open.
      module Fitting
        # Of a record nothing is advised any more.
        NOT_ASKED = {
          advice: nil,
          steps: [],
          creep_angles: [],
          findable: [],
          ready: nil,
          bars: [],
          narrowed: nil,
          gates: [],
          since: nil,
          repaired: false
        }.freeze

        module_function

        # The bench of what is not closed; the record, as it was kept, of what is.
        def page(meeting) = meeting.fitting[:accepted_at] ? record(meeting) : draft(meeting)

        def record(meeting)
          row = meeting.fitting
          kept = Application::Upcaster.read(row.slice(:result, :computed_from), meeting.machine.family)
          back = taken_back(row)&.merge(by: meeting.rows.staff_name(row[:updated_by]))
          {
            **common(meeting, of: row[:accepted_by]),
            **NOT_ASKED,
            taken_back: back,
            evaluation: kept[:result],
            computed_from: kept[:computed_from],
            cautions: kept[:computed_from].fetch("cautions", [])
          }
        end

        # A draft whose marks were chosen on an older description is shown with those that still stand.
        def draft(meeting)
          marks = Application::Sheet.repaired(meeting, meeting.fitting[:marks].to_h)
          evaluation = meeting.evaluation(marks, meeting.fitting[:aids].to_h)
          shown = {
            marks: marks,
            repaired: marks != meeting.fitting[:marks].to_h,
            computed_from: nil,
            evaluation: told(meeting, evaluation),
            advice: Advice.of(meeting),
            steps: Steps.of(meeting),
            creep_angles: Creep.angles(evaluation),
            findable: findable(meeting, evaluation),
            ready: meeting.bars.any? ? nil : Told::Ready.of(meeting)
          }
          {
            **common(meeting, of: meeting.fitting[:updated_by]),
            since: Since.of(meeting),
            gates: gates(meeting),
            **Cautions.on_bench(meeting),
            **shown
          }
        end

        def gates(meeting)
          Limits.gates(meeting.client, Guidance::Gates.before(meeting.machine.family), uncleared(meeting))
        end
        def uncleared(meeting) = meeting.safety.cautions.reject(&:cleared).map(&:name)

        # Of a draft: under today's cautions. input: with the aim, where it is another.
        def told(meeting, evaluation, input = {})
          Told::Evaluation.of(
            evaluation,
            without: meeting.caution_effect.without,
            tempo: meeting.pace.asked(input),
            bands: meeting.bands
          ).merge(read_on: Application::Movement.read_on(meeting, evaluation))
        end

        # Limits that can be read off the machine where somebody sees them reached.
        def findable(meeting, evaluation)
          Application::FoundLimit
            .offered(evaluation, uncleared(meeting))
            .map do |limit|
              {
                limit: limit.name,
                says: Formats::Words.say("found.#{limit.name}"),
                how: Formats::Words.say("found_how.#{limit.name}")
              }
            end
        end

        def common(meeting, of:)
          {
            **state(meeting.fitting, by: meeting.rows.staff_name(of)),
            client: Client.summary(meeting.client),
            machine: Machine.on_bench(meeting),
            station: meeting.station? ? Station.of(meeting) : nil,
            emphases: meeting.fitting[:accepted_at] ? [] : Emphases.of(meeting),
            stops: Signs.stops
          }
        end

        def state(row, by:)
          {
            id: row[:id],
            state: row[:state],
            version: row[:version],
            stop_sign: row[:stop_sign],
            taken_back: taken_back(row),
            **Application::Sheet.of_row(row),
            laid: cushions(row),
            read: row[:movement] && Movement.kept(row[:movement]),
            by: by,
            updated_at: Told.time(row[:updated_at]),
            accepted_at: Told.time(row[:accepted_at])
          }
        end

        def open_line(row)
          {
            id: row[:id],
            client: {
              id: row[:client_id],
              name: row[:client_name],
              detail: row[:client_detail]
            },
            machine: {
              id: row[:machine_id],
              name: Told::Names.machine(row[:machine_name], row[:exercise]),
              place: row[:machine_place]
            },
            marks: Told::Names.tags(row[:marks].to_h, Application::Aids.of(row[:aids].to_h)),
            by: row[:by_name],
            updated_at: Told.time(row[:updated_at])
          }
        end

        def discarded_line(row)
          {
            id: row[:id],
            version: row[:version],
            client: {
              id: row[:client_id],
              name: row[:client_name],
              detail: row[:client_detail]
            },
            machine_name: Told::Names.machine(row[:machine_name], row[:exercise]),
            by: row[:by_name],
            updated_at: Told.time(row[:updated_at])
          }
        end

        def history_line(row)
          worst = row[:result]["findings"].max_by { |finding| finding["severity"] }
          {
            **row.slice(:id, :machine_id, :exercise, :load),
            machine_name: Told::Names.machine(row[:machine_name], row[:exercise]),
            marks: Told::Names.tags(row[:marks].to_h, Application::Aids.of(row[:aids].to_h)),
            grade: row[:result]["grade"],
            worst: worst ? worst["says"] : nothing_found(row[:result]),
            stopped: stopped(row),
            taken_back: taken_back(row),
            version: row[:version],
            remeasured: row.fetch(:remeasured, false),
            cushions: cushions(row),
            checked: !row[:knee_off_mm].nil? || row[:roller_seen],
            by: row[:by_name],
            accepted_at: Told.time(row[:accepted_at])
          }
        end

        # Not taped then, or not computed here.
        def nothing_found(result)
          Formats::Words.say(result.key?("quantities") ? "taping.untaped.record" : "records.nothing_computed")
        end

        # Why, and when; nil where it stands.
        def taken_back(row)
          row[:taken_back_at] && { reason: row[:taken_back], at: Told.time(row[:taken_back_at]) }
        end

        # As they lie there: behind the back, on the seat, under the hips; and where the feet stand.
        def cushions(row) = Application::Aids.says(Application::Aids.of(row[:aids].to_h))

        def stopped(row) = row[:stop_sign].empty? ? nil : Formats::Words.say("stops.#{row[:stop_sign]}.title")
      end
    end
  end
end
