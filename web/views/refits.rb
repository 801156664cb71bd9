# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Settings that should be looked at again, each with why.
      module Refits
        MOST = 200

        module_function

        def of(due) = { due: due.first(MOST).map { |one| line(one) }, of: due.size }

        def line(due)
          row = due.row
          {
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
            exercise: row[:exercise],
            fitting_id: row[:id],
            accepted_at: Application::Told.time(row[:accepted_at]),
            reasons: due.reasons.map { |reason| { name: reason.name, says: says(reason) } },
            bars: Told::Barred.of(due.bars)
          }
        end

        # Why, in sentences.
        def reasons(due) = due.reasons.map { |reason| says(reason) }

        # As a calendar, with names as the gym lets them stand where others may read them: those that are due today, and
        # the day on which each other one will be in any case.
        def calendar(gym_row, refits, today:, now:)
          due = refits.call.to_h { |one| [one.row[:id], one] }
          named = names(gym_row, refits.days.map(&:first))
          days =
            refits.days.map do |row, day|
              {
                id: row[:id],
                day: due[row[:id]] ? today : [day, today].max,
                title: title(named.fetch(row[:client_id]), row),
                text: text(due[row[:id]])
              }
            end
          Formats::Calendar.of(days, name: words(:calendar, gym: gym_row[:name]), now: now)
        end

        # As the gym lets them stand, no two alike.
        def names(gym_row, rows)
          people = rows.map { |row| { id: row[:client_id], name: row[:client_name] } }.uniq
          WallSheet::NAMES.fetch(gym_row[:wall_names]).call(people)
        end

        def title(name, row)
          words(:title, client: name, machine: Told::Names.machine(row[:machine_name], row[:exercise]))
        end

        # Why, but for what speaks of somebody's health: a calendar is read by others too.
        def text(due)
          if due
            due.reasons.reject { |reason| HEALTH.include?(reason.name) }.map { |reason| says(reason) }.join(" ")
          else
            ""
          end
        end

        HEALTH = %i[caution_changed sign_unsolved].freeze

        def says(reason) = words("why.#{reason.name}", **reason.numbers)
        def words(key, **params) = Formats::Words.say("refits.#{key}", **params)
        private_class_method :line, :names, :title, :text, :says, :words
      end
    end
  end
end
