# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A known client's settings as a walk-round list: what to set standing first, one adjuster a line in the order in which they
      # are met, then how to get in, the load, belt and cautions, how to get out.
      module SetUp
        module_function

        # bench: of an accepted fitting, on the machine as it is described now.
        def of(bench, gym)
          row = bench.fitting
          sheet = Sheet.of_row(row)
          marks = Sheet.repaired(bench, sheet[:marks])
          { id: row[:id], client: Client.summary(bench.client), machine: machine(bench), exercise: bench.exercise, repaired: marks != sheet[:marks],
            lines: lines(bench, marks, gym), aids: aids(sheet[:aids]), cue: sheet[:cue], **bench.machine_row.slice(:left_behind, :getting_in, :getting_out), **load(bench, sheet),
            cautions: Cautions.on_bench(bench)[:cautions], allowed: Allowed.of(bench), bars: bars(bench, marks, sheet[:aids]),
            by: Fitting.staff_name(gym, row[:accepted_by]), accepted_at: Views.time(row[:accepted_at]) }
        end

        def machine(bench)
          row = bench.machine_row
          { **row.slice(:id, :place, :state, :state_note), name: Machine.exercise_name(row[:name], bench.exercise) }
        end

        # Standing ones first; both in the order in which they are met.
        def lines(bench, marks, gym)
          photographs = gym.photographs.of(bench.machine_row[:id]).to_h { |row| [row[:adjuster], row[:id]] }
          now = gym.queues.of(bench.machine_row[:id], bench.exercise)[:standing]
          bench.machine.adjusters.map { |adjuster| line(bench, adjuster, marks, now).merge(photograph: photographs[adjuster.label]) }.partition { |one| one[:standing] }.flatten
        end

        def line(bench, adjuster, marks, now)
          facts = bench.walk_round.fetch(adjuster.label, {})
          { label: adjuster.label, name: Formats::Words.adjuster(adjuster.label), mark: marks[adjuster.label], how: WalkRound.words(facts), standing: facts[:reachable_seated] == false,
            weight_off: facts[:weight_off_first] == true, move: Moves.one(adjuster, now&.fetch(adjuster.label, nil), marks[adjuster.label]) }
        end

        # What keeps this client off, and what can no more stand as it was accepted.
        def bars(bench, marks, aids)
          faults = bench.refusals(bench.evaluation(marks, aids)) - [:barred]
          [*Cautions.bars(bench), *faults.map { |code| Formats::Words.say("set_up.#{code}") }]
        end

        def aids(aids) = aids.select { |_, size| size.positive? }.map { |name, size| Formats::Words.say("aids.#{name}.lay", size: size.round) }

        def load(bench, sheet)
          work = sheet[:work]
          loads = Loads.of(bench, { wanted_kg: work["load_kg"], repetitions: work["repetitions"], last: work["last"] })
          load = work["load_kg"] && loads[:load]
          asked = bench.overloaded?(work) ? { load_text: load&.fetch(:text).to_s, limited: Allowed.load(bench) } : { load_text: sheet[:load], limited: nil }
          { load: load, **asked, **loads.slice(:light, :next_time, :belt, :tempo), repetitions: work["repetitions"], sets: work["sets"] }
        end
        private_class_method :machine, :lines, :line, :bars, :aids, :load
      end
    end
  end
end
