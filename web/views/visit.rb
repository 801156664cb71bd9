# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A returning client at a machine: what is lifted today and why, what was done already, what can be said of a set;
      # and the line over the visits.
      module Visit
        SHOWN = 6
        AROUND = 25
        Today = Application::Told::Today

        module_function

        # meeting: of an accepted fitting; log: Application::Logbook.
        def of(meeting, log = Application::Logbook.of(meeting))
          plan = meeting.fitting[:work]
          {
            today: Today.load(meeting, log),
            one_leg: (Today.load(meeting, log, one_leg: true) if meeting.machine_row[:one_leg]),
            one_leg_possible: meeting.machine_row[:one_leg],
            sets: plan["sets"] || Loads::USUAL[:sets],
            repetitions: plan["repetitions"] || Loads::USUAL[:repetitions],
            rest_s: meeting.pace.rest_s,
            ladder: Today.ladder(log.ladder),
            going_on: going_on(meeting, log),
            history: Progress.points(meeting, log, log.before.last(SHOWN)),
            remarks: remarks(meeting, log),
            felt: felt(meeting, cues = Application::SaidCues.new(meeting)),
            signs: signs(meeting, cues),
            helped: helped(meeting, log),
            choices: choices(meeting, log),
            watchers: meeting.rows.staff
          }
        end

        def going_on(meeting, log)
          row = log.going_on or return
          {
            id: row[:id],
            stopped: row[:stopped],
            sets: row[:sets].map { |set| set(meeting, set) },
            begun_at: Application::Told.time(row[:begun_at]),
            next_time: Today.next_time(meeting, log)
          }
        end

        # As it was written down.
        def set(meeting, row)
          how = row[:how]
          {
            id: row[:id],
            number: row[:number],
            load: Progress.load(meeting, row[:load_kg]&.to_f),
            repetitions: row[:repetitions],
            leg: row[:leg],
            kind: row[:kind],
            helped: row[:helped],
            last: how["last"],
            reached: how["reached"]&.to_f,
            felt: how["felt"] && words("felt.#{how["felt"]}"),
            read: row[:read],
            sign: how["sign"] && Formats::Words.say("signs.#{how["sign"]}"),
            watched_by: row[:watched_by_name],
            done_at: Application::Told.time(row[:done_at])
          }
        end

        # Beside what the same client lifts on the same station's other exercise; between machines by what all sets say.
        def remarks(meeting, log)
          load_kg = log.today&.choice&.mass_kg
          [*(beside(meeting, load_kg) if load_kg&.positive?), *Told::Balance.says(Application::Balance.of(meeting))]
        end

        def beside(meeting, load_kg)
          own = meeting.machine.family.action
          action = Loading::Remarks::BESIDE[own] or return
          loads =
            meeting.rows.lifted.select do |(machine, exercise), row|
              machine == meeting.machine_row[:id] && of_action?(row, exercise, action) && row[:load_kg].positive?
            end
          other = loads.values.max_by { |row| row[:done_at] } or return
          share = Loading::Remarks.beside(own, load_kg, other[:load_kg])
          words("beside_machine", share: format("%.2f", share.share), machine: other[:name]) if share.remarked
        end

        def of_action?(row, exercise, action)
          Verglas::Machines::Families.fetch(row[:family]).all_exercises[exercise[/.+/]]&.action == action
        end

        # What a set may go on with; nil where a caution leaves it to one's own strength.
        def helped(meeting, log)
          return unless Application::HelpedWork.allowed?(meeting)

          last = log.going_on&.fetch(:sets)&.last
          load_kg = last ? last[:load_kg]&.to_f : log.today&.choice&.mass_kg
          {
            drops: Application::HelpedWork.drops(meeting, load_kg).map { |choice| Told::Load.one(meeting.rig, choice) },
            says: words("drop_by.#{Application::HelpedWork.by(meeting)}"),
            kinds: Application::HelpedWork::KINDS.map { |kind| { name: kind, title: words("kinds.#{kind}") } }
          }
        end

        def felt(meeting, cues)
          family = meeting.machine.family
          Verglas::Guidance::Regions
            .of(family)
            .map do |region|
              meaning = region.meaning(family)
              {
                name: region.name,
                title: words("felt.#{region.name}"),
                meaning: meaning,
                cues: meaning == :elsewhere ? Cues.list(cues.of(region.name)) : []
              }
            end
        end

        def signs(meeting, cues)
          Verglas::Guidance::Signs
            .of(meeting.machine)
            .map { |name| { name: name, title: Formats::Words.say("signs.#{name}"), cues: Cues.list(cues.of(name)) } }
        end

        # What can be chosen around today's, lightest first; nothing above what is allowed.
        def choices(meeting, log)
          rig = meeting.rig or return []
          allowed = rig.choices.choices.reject { |choice| Loading::NextLoad.over?(choice, meeting.load_limit_kg) }
          at = allowed.index { |choice| choice.mass_kg >= log.today.choice.mass_kg } || 0
          allowed[([at - AROUND, 0].max)..(at + AROUND)].map { |choice| Told::Load.one(rig, choice) }
        end

        def words(key, **params) = Formats::Words.say("visits.#{key}", **params)
        private_class_method :set, :remarks, :beside, :of_action?, :helped, :felt, :signs, :choices, :words
      end
    end
  end
end
