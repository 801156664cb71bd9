# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Setting a machine up again for somebody who was fitted on it, and who comes next there.
      module SetUps
        def self.registered(app)
          app.helpers Helpers
          app.get("/api/fittings/:id/set-up") { |id| reply(Views::SetUp.of(accepted_bench(id), gym)) }

          # The machine now stands so, for a client who can still be set up so.
          app.post("/api/fittings/:id/set-up") do |id|
            write_once do
              meeting = accepted_bench(id)
              marks = Application::Sheet.repaired(meeting, meeting.fitting[:marks].to_h)
              refused = meeting.refusals(meeting.evaluation(marks, meeting.fitting[:aids].to_h)).first
              refuse(refused) if refused
              gym.queues.stands(meeting.machine_row[:id], meeting.exercise, marks, by: staff[:id], one_part: meeting.one_part)
              { ok: true }
            end
          end

          app.get("/api/machines/:id/queue") { |id| reply(Views::Queue.of(gym, machine_row(id), exercise_of(machine_row(id), params["exercise"]))) }

          app.put("/api/machines/:id/queue") do |id|
            write_once do
              machine = machine_row(id)
              exercise = exercise_of(machine)
              gym.queues.put(id, exercise, clients: input[:clients].map { |client| client_row(client)[:id] }, version: input[:version], by: staff[:id])
              Views::Queue.of(gym, machine, exercise)
            end
          end
        end

        # What these routes share.
        module Helpers
          # Of an accepted fitting, on the machine as it is described now.
          def accepted_bench(id)
            meeting = meeting(id)
            refuse(:not_found) unless meeting.fitting[:state] == "accepted"
            Application::Meeting.new(gym, client: meeting.client, machine_row: machine_row(meeting.machine_row[:id]), exercise: meeting.exercise, fitting: meeting.fitting)
          end
        end
      end
    end
  end
end
