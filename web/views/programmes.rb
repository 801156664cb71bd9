# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Named lists of exercises for an aim.
      module Programmes
        module_function

        def of(rows) = { programmes: rows.map { |row| one(row) }, actions: actions, parts: parts }

        def one(row)
          {
            **row.slice(:id, :client_id, :name, :aim, :weeks, :version),
            begins_on: row[:begins_on]&.iso8601,
            days: row[:days].to_a.map { |day| day(day) }
          }
        end

        # As a choice. last: the day of it that a client did last, nil for none; next: the one that comes then.
        def summary(row, last: nil, today: Date.today)
          days = row[:days].to_a
          {
            **row.slice(:id, :name, :aim, :weeks),
            own: !row[:client_id].nil?,
            days: days.map { |day| day["name"] },
            next: last ? (last + 1) % days.size : 0,
            week: week(row, today)
          }
        end

        # Of how many it is the which, from 1; nil before it begins, after its end and where nobody said.
        def week(row, today)
          return unless row[:begins_on] && today >= row[:begins_on]

          week = ((today - row[:begins_on]).to_i / 7) + 1
          week if row[:weeks].nil? || week <= row[:weeks]
        end

        def day(day)
          { name: day["name"], exercises: day["exercises"].map { |one| one.slice("action", "part", "sets") } }
        end

        # What an exercise may be of, and which part it may play.
        def actions
          Tables[:session][:ranks][:by_action].keys.map do |name|
            { name: name, title: Formats::Words.say("actions.#{name}") }
          end
        end

        def parts
          Tables[:session][:worths].map do |row|
            { name: row[:name], title: Formats::Words.say("sessions.parts.#{row[:name]}") }
          end
        end
        private_class_method :day, :actions, :parts, :week
      end
    end
  end
end
