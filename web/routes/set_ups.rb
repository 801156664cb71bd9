# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Setting a machine up again for somebody who was fitted on it, and who comes next there.
      module SetUps
        def self.registered(app)
          app.helpers Helpers
          app.get("/api/fittings/:id/set-up") { |id| reply(Views::SetUp.of(accepted_bench(id))) }

          # The machine now stands so, for a client who can still be set up so: what is told for today is lifted there.
          app.post("/api/fittings/:id/set-up") do |id|
            write_once do
              meeting = bench_to_write(id)
              Application::Visits.new(meeting, by: staff[:id]).begin
              Views::Visit.of(meeting)
            end
          end

          # A set that was done on it.
          app.post("/api/fittings/:id/sets") do |id|
            write_once(status: 201) do
              meeting = bench_to_write(id)
              Application::Visits.new(meeting, by: staff[:id]).add(input)
              Views::Visit.of(meeting)
            end
          end

          # One that was written by mistake.
          app.post("/api/sets/:id/taking-back") do |id|
            write_once do
              set, visit = found(gym.visits.set(id))
              meeting = bench_to_write(visit[:fitting_id])
              Application::Visits.new(meeting, by: staff[:id]).take_back(set, visit)
              Views::Visit.of(meeting)
            end
          end

          app.get("/api/fittings/:id/progress") do |id|
            meeting = accepted_bench(id)
            reply(Views::Progress.page(meeting, Application::Logbook.of(meeting)))
          end

          app.get("/api/machines/:id/queue") do |id|
            machine = machine_row(id)
            reply(Views::Queue.of(Questions::Queue.of(gym, machine, exercise_of(machine, params["exercise"]))))
          end

          app.put("/api/machines/:id/queue") do |id|
            write_once do
              machine = machine_row(id)
              exercise = exercise_of(machine)
              gym.queues.put(
                id,
                exercise,
                clients: input[:clients].map { |client| client_row(client)[:id] },
                version: input[:version],
                by: staff[:id]
              )
              Views::Queue.of(Questions::Queue.of(gym, machine, exercise))
            end
          end
        end

        # What these routes share.
        module Helpers
          # The same, while nobody else writes anything of its client.
          def bench_to_write(id)
            gym.clients.hold_to_write(accepted_bench(id).client[:id])
            accepted_bench(id)
          end

          # Of an accepted fitting, on the machine as it is described now.
          def accepted_bench(id) = found(Application::Meeting.again(gym, id))
        end
      end
    end
  end
end
