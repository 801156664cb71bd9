# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Links by which a client opens their own card.
      module ClientLinks
        def self.registered(app)
          app.helpers Helpers

          app.get("/api/clients/:id/links") { |id| reply(links_of(client_row(id)[:id])) }

          app.post("/api/clients/:id/links") do |id|
            write_once(status: 201) do
              client = client_row(id)
              refuse(:no_own_pages) unless gym.row[:own_pages]
              made = gym.client_links.make(client[:id], by: staff[:id])
              Views::StaffLink.of(made, at: request.base_url, place: Views::ClientLinks::PLACE)
            end
          end

          app.post("/api/clients/:id/links/removal") do |id|
            write_once do
              client = client_row(id)
              refuse(:not_found) if gym.client_links.take_back(client[:id], input[:link]).zero?
              links_of(client[:id])
            end
          end
        end

        # What these routes share.
        module Helpers
          def links_of(client_id) = Views::ClientLinks.of(Questions::ClientLinks.of(gym, client_id))
        end
      end
    end
  end
end
