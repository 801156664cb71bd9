# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Two records of one client: what each holds, as numbers; and which were joined into one.
      module Joins
        # rows: Store::Tables::Joins#of.
        def self.of(row, rows)
          {
            client: Client.summary(row),
            joined:
              rows.map do |other|
                {
                  **other.slice(:id, :name, :detail),
                  joined_at: Told.time(other[:joined_at]),
                  by: other[:by_name].to_s
                }
              end
          }
        end

        # beside: Application::Joining#beside.
        def self.beside(beside)
          {
            kept: record(beside[:kept]),
            other: record(beside[:other]),
            in_the_way: beside[:in_the_way].map { |refusal| Formats::Words.error(refusal.code, refusal.params) }
          }
        end

        def self.record(told)
          { **told, birth_date: told[:birth_date]&.iso8601, body_mass_kg: told[:body_mass_kg]&.to_f }
        end
        private_class_method :record
      end
    end
  end
end
