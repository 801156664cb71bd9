# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Which of the gym's clinicians are shown a client.
      module Sharing
        def self.registered(app)
          app.helpers Helpers
          app.get("/api/clients/:id/sharing") { |id| reply(clinicians: gym.shares.of(client_row(id)[:id])) }

          app.put("/api/clients/:id/sharing") do |id|
            write_once do
              client = client_row(id)
              input[:shared] ? share(client) : gym.shares.end(client[:id], input[:clinician])
              { clinicians: gym.shares.of(client[:id]) }
            end
          end
        end

        # What these routes share.
        module Helpers
          def share(client)
            found(gym.shares.clinician(input[:clinician]))
            gym.shares.add(client[:id], input[:clinician], by: staff[:id])
          end
        end
      end
    end
  end
end
