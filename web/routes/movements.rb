# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Movements that a phone reads, from the bench's side: a code is made, what is read is looked at, and kept.
      module Movements
        def self.registered(app)
          app.helpers Helpers

          # For a set at the bench or on a machine that was set up.
          app.post("/api/fittings/:id/movements") do |id|
            write_once(status: 201) do
              meeting = found(Application::Meeting.of(gym, id))
              asked = Application::Movement.of_set(meeting, movement_place(meeting), planned: input[:planned])
              refuse(:movement_not_read) unless asked
              make_movement(asked, client_id: meeting.client[:id], fitting_id: id, leg: input[:leg])
            end
          end

          # For a limit of a client.
          app.post("/api/clients/:id/limits/:limit/movements") do |id, name|
            write_once(status: 201) do
              client = client_row(id)
              limit = Guidance::Limits.fetch(name)
              refuse_skipped(client, limit)
              make_movement(Application::Movement.of_limit(limit), client_id: client[:id], limit_name: name)
            end
          end

          app.get("/api/movements/:id") do |id|
            reply(Views::Movement.at_bench(Questions::Movement.of(gym, movement_row(gym.movements.find(id)))))
          end

          # Of a set that was written down with it.
          app.get("/api/sets/:id/movement") do |id|
            reply(Views::Movement.kept(found(gym.visits.movements_of([id])[id])))
          end

          # With a fitting whose set was read; a set of a visit takes it along when it is written down.
          app.post("/api/movements/:id/keeping") do |id|
            write_once do
              row = movement_row(gym.movements.hold(id))
              Application::Movement.keep(gym, row)
              { ok: true }
            end
          end

          app.post("/api/movements/:id/removal") do |id|
            write_once do
              movement_row(gym.movements.hold(id))
              gym.movements.delete(id)
              { ok: true }
            end
          end
        end

        # What these routes share.
        module Helpers
          def make_movement(asked, **whose)
            made = gym.movements.make(by: staff[:id], asked: asked, **whose)
            Views::Movement.made(made, at: request.base_url)
          end

          # A limit is its reader's: whoever may not read limits finds none here.
          def movement_row(row)
            limits = Roles.shared.allowed(staff[:role]).include?("readLimit")
            row && (limits || row[:limit_name].nil?) ? row : refuse(:not_found)
          end

          # At which marks it is done: those that are sent, else as the machine stands for this fitting today.
          def movement_place(meeting)
            marks = input[:marks] || Application::Sheet.today(meeting, meeting.fitting)[:marks]
            aids = input.key?(:aids) ? Application::Aids.sent(input[:aids]) : meeting.fitting[:aids].to_h
            meeting.evaluation(marks, aids)
          end
        end
      end
    end
  end
end
