# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Practising: what can be practised and how it went, one client who is made up as one sees them, and afterwards
      # every step beside what the numbers said.
      module Practice
        Spoken = Application::Told::Practice
        Practising = Application::Practising

        module_function

        # practice: Questions::Practice.
        def page(practice, account_id)
          {
            runs: practice.runs.map { |row| summary(row) },
            tasks: practice.tasks.map { |row| task(row, practice.runs.select { |run| run[:task_id] == row[:id] }) },
            machines:
              practice.machines.map do |row, exercise|
                { **row.slice(:id, :place), exercise: exercise, name: Told::Names.machine(row[:name], exercise) }
              end,
            levels: Practising::LEVELS.map { |name| { name: name, title: Spoken.say("levels.#{name}") } },
            people: practice.progress.map { |row| person(row).merge(me: row[:id] == account_id) }
          }
        end

        def summary(row)
          {
            **row.slice(:id, :seed, :level, :number, :total, :passed),
            machine_name: name(row[:machine]),
            machine_id: row[:machine]["id"],
            exercise: row[:machine]["exercise"].to_s,
            begun_at: Application::Told.time(row[:begun_at]),
            over: !row[:ended_at].nil?
          }
        end

        def task(row, runs)
          begun = runs.to_h { |run| [run[:number], run] }
          numbers =
            row[:exercises]
              .to_a
              .each
              .with_index(1)
              .map do |one, number|
                run = begun[number]
                { number: number, machine_name: name(one["machine"]), level: one["level"], run: run && summary(run) }
              end
          { **row.slice(:id, :name), numbers: numbers }
        end

        def person(row)
          {
            **row.slice(:id, :name, :role, :version, :done, :passed, :looked_by),
            mean: row[:mean].to_f.round,
            looked_at: Application::Told.time(row[:looked_at])
          }
        end

        # One at work; play: Practice::Play.
        def run(row, play)
          made_up = play.made_up
          {
            **summary(row),
            made_up: true,
            after: play.actions.size,
            sex: made_up.sex,
            adjusters: adjusters(play),
            asked: play.asked? ? Spoken.answer(made_up) : nil,
            readings: readings(play),
            looks: play.looks.map { |look| look(look, play) },
            watched_here: play.looks.last&.indices == play.indices,
            signs: Verglas::Guidance::Signs.of(made_up.machine).map { |name| { name: name, title: Spoken.sign(name) } },
            causes: causes(play),
            cues: cues(play),
            loads: made_up.loads,
            load_kg: play.load_kg,
            person: made_up.person.to_h.slice(:age_years, :mass_kg),
            scene: Spoken.seen(play)
          }
        end

        def adjusters(play)
          play
            .made_up
            .machine
            .adjusters
            .zip(play.indices)
            .reject { |adjuster, _| adjuster.follows? }
            .map { |adjuster, at| { label: adjuster.label, marks: adjuster.marks, mark: adjuster.marks[at] } }
        end

        def readings(play)
          Verglas::Body::Observation::ALL.keys.map do |name|
            taken = play.readings.include?(name)
            { name: name, title: Spoken.observation(name), mm: taken ? play.made_up.reading_mm(name) : nil }
          end
        end

        # What was seen, told once it was looked for.
        def look(look, play)
          {
            marks: Spoken.marks(play.made_up.machine.marks(look.indices)),
            in_joint: play.made_up.felt_in_joint?(play.made_up.wishes, look.indices),
            seen: look.seen.map { |name| Spoken.sign(name) },
            missed: (look.seen - look.named).map { |name| Spoken.sign(name) }
          }
        end

        # Of the signs that were seen last.
        def causes(play)
          look = play.looks.last or return []
          look.seen.map do |sign|
            chosen = play.causes[[play.looks.size, sign]]
            all = Verglas::Guidance::Signs.causes(play.made_up.machine, sign)
            {
              sign: sign,
              title: Spoken.sign(sign),
              chosen: chosen,
              causes: all.map { |cause| { name: cause.name, title: Spoken.cause(cause.name) } }
            }
          end
        end

        # All that are meant on such a machine, in one order: which fits is for whoever says it.
        def cues(play)
          family = play.made_up.machine.family
          Verglas::Guidance::Cues::ALL
            .select { |cue| family.all?(cue.of) }
            .map do |cue|
              { name: cue.name, words: Formats::Words.say("cues.#{cue.name}"), said: play.cues.include?(cue.name) }
            end
        end

        # verdict: Practice::Verdict.
        def debrief(row, verdict)
          play = verdict.play
          {
            **summary(row),
            made_up: true,
            caution: verdict.caution && Spoken.say("cautions.#{verdict.caution}"),
            had: Spoken.answer(play.made_up),
            parts: parts(verdict),
            severities: verdict.parts.empty? ? nil : verdict.severities.map { |one| one.round(1) },
            true_severities: verdict.parts.empty? ? nil : verdict.true_severities,
            moves: [play.moves, verdict.core.moves],
            seconds: [play.seconds, verdict.core.seconds],
            steps: steps(play),
            marks: [play, verdict.core].map { |one| Spoken.marks(play.made_up.machine.marks(one.indices)) },
            scene: Spoken.numbered(play)
          }
        end

        def parts(verdict)
          verdict.parts.map do |name, share|
            { name: name, title: Spoken.say("parts.#{name}"), share: share.round(2), of: verdict.class::FIGURES[name] }
          end
        end

        # Played once more, each action told before it is done.
        def steps(play)
          before = Verglas::Practice::Play.new(play.made_up, [])
          play.actions.map do |action|
            told = {
              did: Spoken.action(action, before),
              instead: Spoken.instead(before, action),
              remark: Spoken.remark(before, action)
            }
            before.carry_out(action)
            told
          end
        end

        def name(machine) = Told::Names.machine(machine["name"], machine["exercise"].to_s)
        private_class_method :summary,
                             :task,
                             :person,
                             :adjusters,
                             :readings,
                             :look,
                             :causes,
                             :cues,
                             :parts,
                             :steps,
                             :name
      end
    end
  end
end
