# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Finding, adding and correcting clients; a client's page.
      module Clients
        PAGE = 50

        def self.registered(app)
          # A POST, so that what is typed stands in no address and no log.
          app.post("/api/clients/search") do
            rows = Store::Queries::SearchClients.new(gym).call(input[:text], limit: PAGE, after: input[:after])
            last = rows.last if input[:text].strip.length < 2 && rows.size == PAGE
            reply(clients: rows.map { |row| Views::Client.summary(row) }, next: last&.values_at(:search_name, :id))
          end

          # From anywhere; for the same reason a POST.
          app.post("/api/search") { reply(Views::Search.of(Application::Search.new(gym), input[:text])) }

          app.post("/api/clients") do
            write_once(status: 201) { Views::Client.summary(gym.clients.insert(Inputs::Client.fields(input))) }
          end

          app.get("/api/clients/:id") { |id| reply(Views::ClientPage.of(gym, client_row(id))) }

          app.get("/api/clients/:id/history") do |id|
            client = client_row(id)
            machine = machine_row(params["machine"])
            reply(Views::History.of(gym, client, machine, exercise_of(machine, params["exercise"])))
          end

          # Computed for every machine: asked for by a page that shows already what is known.
          app.get("/api/clients/:id/predictions") { |id| reply(Views::Predictions.of(gym, client_row(id)[:id])) }

          app.patch("/api/clients/:id") do |id|
            write_once do
              client_row(id)
              Views::Client.summary(gym.clients.update(id, version: input[:version], **Inputs::Client.fields(input)))
            end
          end
        end
      end
    end
  end
end
