# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # A client's cautions.
      module Cautions
        def self.registered(app)
          app.get("/api/clients/:id/cautions") { |id| reply(Views::Cautions.page(gym, client_row(id))) }

          app.put("/api/clients/:id/cautions/:caution") do |id, caution|
            write_once do
              client = client_row(id)
              Fitting::Cautions.fetch(caution)
              gym.cautions.put(client[:id], caution, version: input[:version], by: staff[:id], **Inputs::Caution.fields(input))
              Views::Cautions.page(gym, client)
            end
          end

          app.delete("/api/clients/:id/cautions/:caution") do |id, caution|
            write_once do
              client = client_row(id)
              gym.cautions.delete(client[:id], caution, version: Integer(request.params["version"], 10))
              Views::Cautions.page(gym, client)
            end
          end
        end
      end
    end
  end
end
