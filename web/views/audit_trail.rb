# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Who did what, in words.
      module AuditTrail
        module_function

        # next: the id to go on from; nil where there is nothing further.
        def of(rows)
          { entries: rows.map { |row| entry(row) }, next: rows.size == Store::Queries::AuditTrail::PAGE ? rows.last[:id] : nil }
        end

        def entry(row)
          { id: row[:id], at: Application::Told.time(row[:at]), by: row[:by], says: Formats::Words.maybe("audit.#{row[:action]}") || row[:action].tr("_", " "),
            client: named(*row.values_at(:client_id, :client_name)), machine: named(*row.values_at(:machine_id, :machine_name)), fitting_id: row[:fitting_id] }
        end

        def named(id, name) = id && { id: id, name: name }
        private_class_method :entry, :named
      end
    end
  end
end
