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

        # As a choice.
        def summary(row)
          { **row.slice(:id, :name, :aim), own: !row[:client_id].nil?, days: row[:days].to_a.map { |day| day["name"] } }
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
        private_class_method :day, :actions, :parts
      end
    end
  end
end
