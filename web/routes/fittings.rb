# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # The bench: open a fitting, see what marks do, keep the draft, accept it.
      module Fittings
        def self.registered(app)
          app.helpers Helpers

          # Opens a client's bench on a machine: the draft that is there, or a new one at the last accepted or advised
          # marks.
          app.post("/api/fittings") do
            write_once(status: 201) do
              client = client_row(input[:client_id])
              machine = machine_row(input[:machine_id])
              exercise = exercise_of(machine)
              exercise = proposed(client, machine, exercise) unless input.key?(:exercise)
              existing = gym.fittings.draft(client[:id], machine[:id], exercise)
              row = existing || open_fitting(client, machine, exercise)
              { id: row[:id], made: existing.nil? }
            end
          end

          app.get("/api/fittings/:id") { |id| reply(Views::Fitting.page(meeting(id))) }

          # Pure computation: nothing is written, so it may be asked as often as an adjuster is stepped.
          app.post("/api/fittings/:id/evaluation") do |id|
            meeting = meeting(id)
            reply(Views::Fitting.told(meeting, evaluation(meeting), input))
          end

          app.post("/api/fittings/:id/signs") do |id|
            meeting = meeting(id)
            reply(
              signs:
                Views::Signs.of(
                  evaluation(meeting),
                  input[:signs].map(&:to_sym),
                  cues: Application::SaidCues.new(meeting),
                  seen: meeting.seen_knee(input.fetch(:creep, {})),
                  sizes: meeting.aid_sizes
                ),
              next:
                input.fetch(:creep, {}).empty? ? Views::NextMove.of(Application::Watched.new(meeting, input).next) : nil
            )
          end

          # What the last moves disturbed of what was seen before.
          app.post("/api/fittings/:id/again") do |id|
            meeting = meeting(id)
            reply(moved: Views::Disturbance.of(meeting, evaluation(meeting), input[:done]))
          end

          app.post("/api/fittings/:id/creep") do |id|
            meeting = meeting(id)
            seen = meeting.seen_knee(input[:creep])
            refuse(:creep_not_possible) unless seen
            reply(Views::Creep.of(seen, evaluation(meeting)))
          end

          app.post("/api/fittings/:id/loads") { |id| reply(Views::Loads.of(meeting(id), input)) }

          app.patch("/api/fittings/:id") do |id|
            write_once do
              gym.fittings.hold_drafts(id)
              meeting = meeting(id)
              row =
                gym.fittings.save(
                  id,
                  version: input[:version],
                  by: staff[:id],
                  **Application::Sheet.of_input(meeting, input)
                )
              share_seat(meeting, row)
              Views::Fitting.state(row, by: staff[:name])
            end
          end

          app.post("/api/fittings/:id/acceptance") do |id|
            write_once do
              gym.fittings.hold(id)
              meeting = meeting(id)
              closing = closing(meeting)
              refuse_unacceptable(meeting, closing)
              row = gym.fittings.accept(id, **closing)
              share_seat(meeting, row)
              gym.queues.stands(
                row[:machine_id],
                row[:exercise],
                row[:marks].to_h,
                by: staff[:id],
                one_part: meeting.one_part
              )
              Application::SaidCues.count(gym, row[:work].fetch("cues", []))
              { **Views::Fitting.state(row, by: staff[:name]), learned: Application::Taught.of(meeting, row) }
            end
          end

          # A stop sign ends the fitting: it is kept with what stood there, and never goes on a card.
          app.post("/api/fittings/:id/stop") do |id|
            write_once do
              unless Guidance::Signs::STOPS.include?(input[:stop_sign].to_sym)
                raise Invalid.new(:not_allowed, path: "/stop_sign")
              end

              gym.fittings.hold(id)
              closing = closing(meeting(id), input[:sheet].transform_keys(&:to_sym))
              Views::Fitting.state(gym.fittings.stop(id, stop_sign: input[:stop_sign], **closing), by: staff[:name])
            end
          end

          # Accepted by mistake (wrong client, machine, load): it stays in the history with why, and leaves card and
          # body.
          app.post("/api/fittings/:id/taking-back") do |id|
            write_once do
              reason = input[:reason].strip
              raise Invalid.new(:taking_back_unexplained, path: "/reason") if reason.empty?

              gym.clients.hold_to_write(meeting(id).client[:id])

              Views::Fitting.state(
                gym.fittings.take_back(id, version: input[:version], by: staff[:id], reason: reason),
                by: staff[:name]
              )
            end
          end

          # Let go, and open again.
          { "discard" => :discard, "return" => :reopen }.each do |address, change|
            app.post("/api/fittings/:id/#{address}") do |id|
              write_once do
                meeting(id)
                Views::Fitting.state(
                  gym.fittings.public_send(change, id, version: input[:version], by: staff[:id]),
                  by: staff[:name]
                )
              end
            end
          end
        end

        # What these routes share.
        module Helpers
          def meeting(id) = found(Application::Meeting.of(gym, id))

          # At the marks that were sent.
          def evaluation(meeting) = meeting.evaluation(input[:marks], Application::Aids.sent(input.fetch(:aids, {})))

          # What a fitting is closed with: the sheet as sent, the result as it was shown, what it was computed from.
          def closing(meeting, given = input)
            sheet = Application::Sheet.of_input(meeting, given)
            aids = sheet.fetch(:aids) { meeting.fitting[:aids].to_h }
            {
              version: given[:version],
              by: staff[:id],
              **Application::Record.of(meeting, given[:marks], aids),
              description_number: meeting.machine_row[:number],
              **sheet,
              **ranged(meeting, sheet),
              aids: aids
            }
          end

          # For how much of the range the marks were chosen, where it was not all.
          def ranged(meeting, sheet)
            return {} if meeting.range_share >= 1

            { work: { **meeting.fitting[:work].to_h, **sheet[:work].to_h, "range_share" => meeting.range_share } }
          end

          # What is never accepted, whatever the reason; and what is off without one.
          def refuse_unacceptable(meeting, closing)
            evaluation = meeting.evaluation(closing[:marks], closing[:aids])
            refused = meeting.refusals(evaluation, { **meeting.fitting.slice(:signs, :work), **closing }).first
            refuse(refused) if refused
            refuse(:past_load_limit) if meeting.overloaded?(closing.fetch(:work) { meeting.fitting[:work] })
            return unless Guidance::NeverAccepted.reason_needed?(evaluation) && closing.fetch(:reason, "").strip.empty?

            raise Invalid.new(:reason_needed, path: "/reason")
          end

          # Named on a station, and where it is done for something beside.
          def exercise_of(machine, given = input[:exercise])
            known = Application::Described.all_exercises(machine).map(&:to_s)
            given = given.to_s
            raise Invalid.new(:not_allowed, path: "/exercise", known: known) unless known.include?(given)

            given
          end

          # What the house rules put first, where nobody said what it is done for.
          def proposed(client, machine, exercise)
            Application::Meeting.new(gym, client: client, machine_row: machine, exercise: exercise).proposed
          end

          def open_fitting(client, machine, exercise)
            Application::Described.on_the_floor!(machine, path: "/machine_id")

            meeting = Application::Meeting.new(gym, client: client, machine_row: machine, exercise: exercise)
            closed = Application::Told::Barred.of(meeting.safety.emphasis_bars(meeting.family)).first
            raise Invalid.new(:emphasis_closed, path: "/exercise", says: closed) if closed

            sheet =
              Application::Sheet.at_opening(
                meeting,
                last: gym.fittings.last_accepted(client[:id], machine[:id], exercise),
                sibling: meeting.station? ? gym.fittings.sibling(client[:id], machine[:id], exercise) : nil
              )
            gym.clients.back(client[:id])
            gym
              .fittings
              .open(
                client_id: client[:id],
                machine_id: machine[:id],
                exercise: exercise,
                description_number: machine[:number],
                by: staff[:id],
                **sheet
              )
              .first
          end

          # A station has one seat: its marks move in every draft that is open on it.
          def share_seat(meeting, row)
            gym.fittings.share(row, row[:marks].to_h.slice(*meeting.shared), by: staff[:id]) if meeting.station?
          end
        end
      end
    end
  end
end
