# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A file on its way in: how far it is, what it would do.
      module Import
        ACTIONS = %w[add change same refuse].freeze

        module_function

        # import: Questions::Import.
        def state(import)
          row = import.row
          head = row[:head].to_h
          counts = row[:counts].to_h
          {
            id: row[:id],
            kind: row[:kind],
            state: row[:state],
            bytes: row[:bytes],
            arrived: import.arrived,
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
        def page(import) = { **state(import), told: import.told.map { |outcome| told(*outcome) } }

        def told(line, action, wrong, about, tells = nil)
          {
            line: line,
            action: action,
            about: about,
            column: wrong && wrong["path"],
            says: wrong ? wrong["message"] : tells
          }
        end

        private_class_method :told
      end
    end
  end
end
