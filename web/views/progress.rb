# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's visits on a machine over time: what was lifted, how far, how it went, and what changed between two of
      # them. Loads compare only at one mark of the pad that carries them: where it moved the line breaks.
      module Progress
        Today = Application::Told::Today

        module_function

        def page(meeting, log)
          {
            fitting_id: meeting.fitting[:id],
            client: Client.summary(meeting.client),
            machine: {
              **meeting.machine_row.slice(:id, :place),
              name: Told::Names.machine(meeting.machine_row[:name], meeting.exercise)
            },
            exercise: meeting.exercise,
            unit: meeting.rig&.unit,
            today: Today.load(meeting, log),
            ladder: Today.ladder(log.ladder),
            visits: points(meeting, log, log.entries),
            cautions: cautions(meeting, log)
          }
        end

        # Oldest first.
        def points(meeting, log, entries)
          [nil, *entries].each_cons(2).map { |earlier, entry| point(meeting, log, earlier, entry) }
        end

        def point(meeting, log, earlier, entry)
          visit = entry.visit
          {
            at: Application::Told.time(entry.at),
            kind: entry.row ? :visit : :fitting,
            load: load(meeting, visit.load_kg),
            sets: visit.sets.size,
            outcome: visit.outcome,
            reached: visit.sets.filter_map(&:reached).min,
            one_leg: visit.sets.last.one_leg,
            marks: Told::Names.tags(entry.fitting[:marks].to_h),
            **changed(log, earlier, entry),
            **of_sets(entry.row ? entry.row[:sets] : [])
          }
        end

        # read: the last that a phone read.
        def of_sets(sets)
          {
            repetitions: sets.map { |set| set[:repetitions] }.max,
            read: sets.reverse.find { |set| set[:read] }&.fetch(:id),
            watched_by: sets.filter_map { |set| set[:watched_by_name] }.first
          }
        end

        # broken: whether loads stop comparing here; changes: what moved since the visit before, in words.
        def changed(log, earlier, entry)
          return { broken: false, changes: [] } unless earlier

          from, upto = [earlier, entry].map { |one| one.fitting[:marks].to_h }
          broken = earlier.visit.pad != entry.visit.pad
          press = broken ? Today.press(log.press_ratio(from, upto)) : ""
          moved = Loading::Pad.moved(from, upto)
          { broken: broken, changes: [*(Today.moves(moved) if moved.any?), *press[/.+/]] }
        end

        # When a caution was written, cleared or taken out, within the time that is shown.
        def cautions(meeting, log)
          first = log.entries.first&.at or return []
          standing =
            meeting.safety.rows.map do |row|
              { at: row[:set_at], says: words(row[:cleared_on] ? :cleared : :caution, row) }
            end
          removed = meeting.rows.cautions_removed.map { |row| { at: row[:removed_at], says: words(:caution_out, row) } }
          [*standing, *removed].select { |one| one[:at] >= first }
            .sort_by { |one| one[:at] }
            .map { |one| { **one, at: Application::Told.time(one[:at]) } }
        end

        def words(key, row)
          Formats::Words.say("visits.#{key}", caution: Formats::Words.say("cautions.#{row[:caution]}.title"))
        end

        def load(meeting, load_kg)
          return unless load_kg

          if meeting.rig
            { **Told::Load.one(meeting.rig, meeting.rig.choices.nearest(load_kg)), kg: load_kg.round(3) }
          else
            { kg: load_kg.round(3), text: "#{Told::Load.number(load_kg)} kg", how: "" }
          end
        end
        private_class_method :point, :of_sets, :changed, :cautions, :words
      end
    end
  end
end
