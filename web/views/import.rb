# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A file on its way in: how far it is, what it would do.
      module Import
        ACTIONS = %w[add change same refuse].freeze

        module_function

        def state(row, gym)
          head = row[:head].to_h
          counts = row[:counts].to_h
          {
            id: row[:id],
            kind: row[:kind],
            state: row[:state],
            bytes: row[:bytes],
            arrived: arrived(row, gym),
            rows: row[:rows],
            pieces: row[:pieces],
            checked: row[:checked],
            counts: ACTIONS.to_h { |action| [action, counts.fetch(action, 0)] },
            encoding: head["encoding"],
            unknown: head.fetch("unknown", []),
            health_notes: head["health_notes"]
          }
        end

        # With the rows of which there is something to tell.
        def page(row, gym, intake)
          told = intake.told(row)
          { **state(row, gym), told: told.map { |outcome| told(*outcome) } }
        end

        def told(line, action, wrong, about, tells = nil)
          {
            line: line,
            action: action,
            about: about,
            column: wrong && wrong["path"],
            says: wrong ? wrong["message"] : tells
          }
        end

        def arrived(row, gym) = row[:state] == "arriving" ? gym.imports.arrived(row[:id]) : row[:bytes]
        private_class_method :told, :arrived
      end
    end
  end
end
