# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Two records of one client that are one person's. For whoever leads the gym.
      module Joins
        def self.registered(app)
          app.helpers Helpers
          app.get("/api/clients/:id/joins") { |id| reply(joins_of(client_row(id))) }

          app.get("/api/clients/:id/joins/:other") do |id, other|
            reply(Views::Joins.beside(Application::Joining.new(gym, client_row(id)).beside(client_row(other))))
          end

          app.post("/api/clients/:id/joins") do |id|
            write_once do
              other = client_row(input[:other])
              versions = { version: input[:version], other_version: input[:other_version] }
              joined(Application::Joining.new(gym, client_row(id)).join(other, by: staff[:id], **versions), other[:id])
            end
          end

          app.post("/api/clients/:id/joins/removal") do |id|
            write_once do
              apart = Application::Joining.new(gym, client_row(id)).apart(input[:other], version: input[:version])
              joined(apart, input[:other])
            end
          end
        end

        # What these routes share.
        module Helpers
          def joins_of(row) = Views::Joins.of(row, gym.joins.of(row[:id]))

          # Of both it stands in the trail; nothing is told by what was learned of them before.
          def joined(row, other)
            on_record(other)
            Application::Kept.shared.empty
            joins_of(row)
          end
        end
      end
    end
  end
end
