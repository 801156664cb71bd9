# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Finding, adding and correcting clients; a client's page.
      module Clients
        def self.registered(app)
          # A POST, so that what is typed stands in no address and no log.
          app.post("/api/clients/search") do
            found = Questions::Search.of(gym, input[:text], after: input[:after])
            reply(clients: found.rows.map { |row| Views::Client.summary(row) }, next: found.onward)
          end

          # From anywhere; for the same reason a POST.
          app.post("/api/search") { reply(Views::Search.of(Application::Search.new(gym), input[:text])) }

          app.post("/api/clients") do
            write_once(status: 201) { Views::Client.summary(gym.clients.insert(Inputs::Client.fields(input))) }
          end

          app.get("/api/clients/:id") do |id|
            reply(Views::ClientPage.of(Questions::ClientPage.of(gym, client_row(id))))
          end

          app.get("/api/clients/:id/history") do |id|
            client = client_row(id)
            machine = machine_row(params["machine"])
            exercise = exercise_of(machine, params["exercise"])
            reply(Views::History.of(Questions::History.of(gym, client, machine, exercise)))
          end

          # Computed for every machine: asked for by a page that shows already what is known.
          app.get("/api/clients/:id/predictions") do |id|
            reply(Views::Predictions.of(Application::FloorCard.new(gym, client_row(id)[:id])))
          end

          app.put("/api/clients/:id/choices") do |id|
            write_once do
              chosen = input.slice(:consent, :teaches, :away)
              row = Application::ClientChoices.new(gym).change(client_row(id), version: input[:version], **chosen)
              { client: Views::Client.summary(row), choices: Views::ClientPage.choices(row) }
            end
          end

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
