# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # What somebody does today in the time they have, and named lists of exercises.
      module Sessions
        LATEST = 20

        def self.registered(app)
          app.helpers Helpers
          app.post("/api/clients/:id/session-plan") do |id|
            reply(Views::SessionPlan.of(Questions::ClientSession.of(gym, client_row(id), input)))
          end

          app.get("/api/clients/:id/sessions") do |id|
            rows = gym.sessions.latest(client_row(id)[:id], most: LATEST)
            reply({ sessions: rows.map { |row| Views::Session.past(row) } })
          end

          app.post("/api/clients/:id/sessions") do |id|
            write_once(status: 201) do
              asked = input.except(:begins)
              told(making.keep(gym, client_row(id), asked, begins: input[:begins], by: staff[:id]))
            end
          end

          app.get("/api/sessions") do
            reply({ sessions: gym.sessions.going_on.map { |row| Views::Session.summary(row) } })
          end
          app.get("/api/sessions/:id") { |id| reply(told(session_row(id))) }
          app.put("/api/sessions/:id") do |id|
            write_once do
              told(making.change(gym, to_write(id), input.except(:version), version: input[:version], by: staff[:id]))
            end
          end

          app.post("/api/sessions/:id/beginning") do |id|
            write_once { told(making.begin(gym, to_write(id), version: input[:version], by: staff[:id])) }
          end

          app.post("/api/sessions/:id/ending") do |id|
            write_once { told(making.finish(gym, to_write(id), version: input[:version], by: staff[:id])) }
          end

          app.get("/api/sessions/:id/plan.pdf") do |id|
            row = session_row(id)
            on_record(row[:client_id])
            pdf "session", Formats::Paper::SessionSheet.new(Views::SessionPaper.of(told(row), gym.row)).render
          end

          programmes(app)
        end

        def self.programmes(app)
          app.get("/api/programmes") do
            reply(Views::Programmes.of(gym.programmes.of(params["client"] && client_row(params["client"])[:id])))
          end

          app.post("/api/programmes") do
            write_once(status: 201) do
              client_id = input[:client_id] && client_row(input[:client_id])[:id]
              Views::Programmes.one(gym.programmes.add(**programme, client_id: client_id, by: staff[:id]))
            end
          end

          app.put("/api/programmes/:id") do |id|
            write_once do
              found(gym.programmes.find(id))
              Views::Programmes.one(gym.programmes.change(id, **programme, version: input[:version], by: staff[:id]))
            end
          end

          app.post("/api/programmes/:id/removal") do |id|
            write_once do
              found(gym.programmes.find(id))
              gym.programmes.remove(id, version: input[:version])
              { ok: true }
            end
          end
        end
        private_class_method :programmes

        # What these routes share.
        module Helpers
          def making = Application::Sessions::Making
          def session_row(id) = found(gym.sessions.find(id))

          # The same, while nobody else writes anything of its client.
          def to_write(id)
            gym.clients.hold_to_write(session_row(id)[:client_id])
            session_row(id)
          end

          def told(row) = Views::Session.of(Questions::Session.of(gym, row))
          def programme
            { aim: nil, weeks: nil, begins_on: nil, **input.slice(:name, :aim, :weeks, :begins_on, :days) }
          end
        end
      end
    end
  end
end
