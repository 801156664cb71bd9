# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Everything that stands on a machine's page: facts, adjusters, lengths with who taped them, photographs, what its
      # accepted fittings used.
      module MachinePage
        module_function

        # page: Questions::MachinePage.
        def of(page)
          row = page.row
          {
            machine: Machine.summary(row),
            facts: facts(row),
            number: row[:number],
            version: row[:version],
            copied_from: page.copied_from,
            replaced_by: row[:replaced_by] && { id: row[:replaced_by], name: page.replaced_by },
            exercises: parts(row).map { |exercise, family| exercise(row, exercise, family, page.taped_by) },
            photographs: page.photographs,
            use: page.use.map { |line| line.slice(:exercise, :label, :mark, :count) },
            fittings: page.fittings.map { |line| fitting(line) }
          }
        end

        def facts(row)
          {
            **row.slice(
              :getting_in,
              :getting_out,
              :left_behind,
              :cushions_allowed,
              :least_age_years,
              :belt,
              :one_leg,
              :loading
            ),
            moves: moves(row),
            slack_from_deg: row[:slack_from_deg]&.to_f,
            user_mass_limit_kg: row[:user_mass_limit_kg]&.to_f
          }
        end

        # As they were picked; left: what the next one finds.
        def moves(row)
          entries = Told::Moves.entries(row)
          lists =
            entries.transform_values do |list|
              list.map { |one| { move: one.move.name, who: one.who, frees: one.frees } }
            end
          { **lists, says: { in: Told::Moves.getting_in(row), out: Told::Moves.getting_out(row) }, left: left(row) }
        end

        def left(row) = Told::Moves.left_behind(row)

        # One exercise with its lengths in the order of taping: joint, then the groups, each adjuster's travel behind
        # its first mark.
        def exercise(row, exercise, family, names)
          part = row[:exercises].to_h[exercise] || {}
          adjusters = [
            *row[:adjusters].map { |adjuster| [adjuster, true] },
            *part.fetch("adjusters", []).map { |adjuster| [adjuster, false] }
          ]
          taping = Application::Taping.new(row, exercise: exercise)
          {
            name: exercise.to_s,
            title: exercise && Formats::Words.say("exercises.#{exercise}"),
            purpose: purpose(family),
            lengths:
              family.constants.map do |name, constant|
                length(
                  row,
                  exercise,
                  family.mechanism,
                  name,
                  constant,
                  { **row[:constants].to_h, **part.fetch("constants", {}) },
                  names
                )
              end,
            adjusters:
              adjusters.map do |adjuster, shared|
                adjuster(row, exercise, family, adjuster, shared && !exercise.nil?, names)
              end,
            **trial(row, exercise, taping)
          }
        end

        # What the exercise is for, in a sentence, and the muscles.
        def purpose(family)
          %i[title says muscles].to_h { |part| [part, Formats::Words.say("purposes.#{family.purpose}.#{part}")] }
        end

        # How people would sit on it: a description stays as it is until it is taped again.
        def trial(row, exercise, taping)
          key = [*row.values_at(:id, :name, :family, :number, :taped_at), exercise]
          Application::Kept.shared.of(:trials, key) { Taping.trial(taping) }
        end

        # What is said another way of a machine of another mechanism: an arm's angle, on a bench.
        def of_mechanism(name, part, mechanism)
          Formats::Words.maybe("constants.#{name}.#{part}_#{mechanism}") ||
            Formats::Words.maybe("constants.#{name}.#{part}")
        end

        def length(row, exercise, mechanism, name, constant, values, names)
          said = %i[title how plus minus].to_h { |part| [part, of_mechanism(name, part, mechanism)] }
          {
            name: name,
            **said,
            unit: constant.unit,
            value: values[name.to_s],
            low: constant.range.min,
            high: constant.range.max,
            usual_low: constant.usual.min,
            usual_high: constant.usual.max,
            default: constant.default,
            optional: constant.optional,
            taped: taped(row, exercise, name.to_s, names)
          }
        end

        def adjuster(row, exercise, family, adjuster, shared, names)
          kinds = [*Machines::Families.fetch(row[:family]).shared_kinds, *family.kinds.values]
          kind, forwards = Machines::AdjusterKind.matching(kinds, adjuster["drives"].transform_keys(&:to_sym))
          {
            label: adjuster["label"],
            name: Formats::Words.adjuster(adjuster["label"]),
            marks: adjuster["marks"],
            travel: adjuster["travel"],
            drives: adjuster["drives"].keys,
            kind: kind&.name,
            unit: kind ? kind.unit : :mm,
            forwards: forwards.nil? || forwards,
            shared: shared,
            same_as: adjuster["same_as"],
            walk_round: walk_round(adjuster.fetch("walk_round", {})),
            taped: taped(row, exercise, "#{adjuster["label"]}/travel", names)
          }
        end

        def walk_round(given)
          {
            side: given.fetch("side", ""),
            handle: given.fetch("handle", ""),
            unlocks: given.fetch("unlocks", ""),
            reachable_seated: given.fetch("reachable_seated", true),
            weight_off_first: given.fetch("weight_off_first", false),
            both_sides: given.fetch("both_sides", false)
          }
        end

        # Who taped it and when; a copy's lengths were taped on another machine and are to be checked here.
        def taped(row, exercise, key, names)
          found = row[:taped].to_h.values_at([exercise, key].compact.join("/"), key).compact.first
          found &&
            { by: names[found["by"]], at: found["at"], copied: found.fetch("copied", false), learned: found["learned"] }
        end

        def fitting(line)
          {
            id: line[:id],
            client: {
              id: line[:client_id],
              name: line[:client_name],
              detail: line[:client_detail]
            },
            exercise: line[:exercise],
            marks: Told::Names.tags(line[:marks].to_h),
            grade: line[:grade],
            by: line[:by_name],
            accepted_at: Told.time(line[:accepted_at])
          }
        end

        def parts(row) = Machines::Families.fetch(row[:family]).exercises
        private_class_method :facts,
                             :exercise,
                             :purpose,
                             :trial,
                             :of_mechanism,
                             :length,
                             :adjuster,
                             :walk_round,
                             :taped,
                             :fitting,
                             :parts
      end
    end
  end
end
