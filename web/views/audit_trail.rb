# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Who did what, in words.
      module AuditTrail
        COUNTED = %w[wrong_password wrong_pin].freeze

        module_function

        # trail: Questions::Trail.
        def of(trail)
          { entries: counted(trail.rows).map { |row, count| entry(row, count) }, next: trail.onward }
        end

        # What was tried again and again stands once, with how often; at the last time.
        def counted(rows)
          rows
            .chunk_while do |one, other|
              COUNTED.include?(one[:action]) && one.values_at(:action, :by) == other.values_at(:action, :by)
            end
            .map { |some| [some.first, some.size] }
        end

        def entry(row, count)
          {
            id: row[:id],
            at: Application::Told.time(row[:at]),
            by: row[:by],
            says: Formats::Words.maybe("audit.#{row[:action]}", count: count) || row[:action].tr("_", " "),
            client: named(*row.values_at(:client_id, :client_name)),
            machine: named(*row.values_at(:machine_id, :machine_name)),
            fitting_id: row[:fitting_id]
          }
        end

        def named(id, name) = id && { id: id, name: name }
        private_class_method :counted, :entry, :named
      end
    end
  end
end
