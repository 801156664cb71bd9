# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A known client's settings as a walk-round list: what to set standing first, one adjuster a line in the order in
      # which they are met, then how to get in, the load, belt and cautions, how to get out.
      module SetUp
        module_function

        # meeting: of an accepted fitting, on the machine as it is described now.
        def of(meeting)
          row = meeting.fitting
          sheet = Application::Sheet.of_row(row)
          marks, aids = Application::Sheet.today(meeting, row).values_at(:marks, :aids)
          aids = Application::Aids.of(aids)
          evaluation = meeting.evaluation(marks, aids)
          {
            id: row[:id],
            client: Client.summary(meeting.client),
            machine: machine(meeting),
            exercise: meeting.exercise,
            repaired: Application::Sheet.repaired(meeting, sheet[:marks]) != sheet[:marks],
            lines: lines(meeting, marks),
            placed: Told::Names.tags({}, aids),
            aids: [*Application::Aids.says(aids, meeting.bands), *Told::Between.of(meeting, marks)],
            cue: sheet[:cue],
            **moves(meeting.machine_row, meeting.exercise),
            **load(meeting, sheet),
            begins: Told::Tempo.quickens(evaluation, meeting.pace.tempo)&.fetch(:says),
            cautions: Cautions.on_machine(meeting),
            allowed: Told::Allowed.of(meeting, evaluation),
            bars: Told::Barred.at(meeting, evaluation),
            visit: Visit.of(meeting),
            read_on: Application::Movement.read_on(meeting, evaluation),
            by: meeting.rows.staff_name(row[:accepted_by]),
            accepted_at: Told.time(row[:accepted_at])
          }
        end

        def moves(row, exercise)
          {
            left_behind: Told::Moves.left_behind(row),
            getting_in: Told::Moves.getting_in(row, exercise),
            getting_out: Told::Moves.getting_out(row, exercise)
          }
        end

        def machine(meeting)
          row = meeting.machine_row
          { **row.slice(:id, :place, :state, :state_note), name: Told::Names.machine(row[:name], meeting.exercise) }
        end

        # Standing ones first; both in the order in which they are met.
        def lines(meeting, marks)
          photographs = meeting.rows.photographs
          now = meeting.rows.standing
          Told::Together
            .of(meeting.machine)
            .map do |one|
              line(meeting, one, marks, now).merge(photograph: photographs.values_at(*one.labels).compact.first)
            end
            .partition { |one| one[:standing] }
            .flatten
        end

        # Of all that stand as one: set as one, and as the one that is hardest to reach.
        def line(meeting, together, marks, now)
          facts = together.labels.map { |one| meeting.walk_round.fetch(one, {}) }
          label = together.label
          {
            label: label,
            name: together.name,
            mark: together.mark(marks[label]),
            how: WalkRound.handling(meeting, label),
            standing: facts.any? { |one| one[:reachable_seated] == false },
            weight_off: facts.any? { |one| one[:weight_off_first] == true },
            move: Moves.one(together.adjusters.first, now&.fetch(label, nil), marks[label])
          }
        end

        def load(meeting, sheet)
          work = sheet[:work]
          loads = Loads.of(meeting, { wanted_kg: work["load_kg"], repetitions: work["repetitions"] })
          asked =
            (
              if meeting.overloaded?(work)
                { load_text: loads[:load]&.fetch(:text).to_s, limited: Told::Allowed.load(meeting) }
              else
                { load_text: sheet[:load], limited: nil }
              end
            )
          { **asked, **loads.slice(:belt, :tempo), repetitions: work["repetitions"], sets: work["sets"] }
        end
        private_class_method :moves, :machine, :lines, :line, :load
      end
    end
  end
end
