# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # Which client a row means: by id, else by name, and by what tells namesakes apart where there are several.
      class People
        # rows: values with client_id, or client and client_detail.
        def initialize(gym, rows)
          known = Store::Queries::KnownClients.new(gym)
          @by_id = known.by_ids(rows.filter_map { |values| values[:client_id] }.uniq)
          @by_name = known.by_names(rows.reject { |values| values[:client_id] }.filter_map { |values| values[:client] })
        end

        # The client's row; raises Invalid where nobody is meant, or more than one.
        def find(values)
          if values[:client_id]
            return @by_id.fetch(values[:client_id]) { raise Invalid.new(:client_unknown, path: "/client_id") }
          end
          raise Invalid.new(:client_unknown, path: "/client") unless values[:client]

          only(candidates(values))
        end

        # The same, nil where nobody is meant.
        def maybe(values)
          find(values)
        rescue Invalid
          nil
        end

        private

        def candidates(values)
          called = @by_name.fetch(values[:client], [])
          values[:client_detail] ? called.select { |row| row[:detail].casecmp?(values[:client_detail]) } : called
        end

        def only(rows)
          raise Invalid.new(:client_unknown, path: "/client") if rows.empty?
          raise Invalid.new(:client_ambiguous, path: "/client") if rows.size > 1

          rows.first
        end
      end
    end
  end
end
