# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # The bench: open a fitting, see what marks do, keep the draft, accept it.
      module Fittings
        def self.registered(app)
          app.helpers Helpers

          # Opens a client's bench on a machine: the draft that is there, or a new one at the last accepted or advised marks.
          app.post("/api/fittings") do
            write_once(status: 201) do
              client = client_row(input[:client_id])
              machine = machine_row(input[:machine_id])
              exercise = exercise_of(machine)
              existing = gym.fittings.draft(client[:id], machine[:id], exercise)
              row = existing || open_fitting(client, machine, exercise)
              { id: row[:id], made: existing.nil? }
            end
          end

          app.get("/api/fittings/:id") { |id| reply(Views::Fitting.page(bench(id), gym)) }

          # Pure computation: nothing is written, so it may be asked as often as an adjuster is stepped.
          app.post("/api/fittings/:id/evaluation") { |id| reply(Views::Evaluation.of(evaluation(bench(id)))) }

          app.post("/api/fittings/:id/signs") do |id|
            bench = bench(id)
            reply(signs: Views::Signs.of(evaluation(bench), input[:signs].map(&:to_sym), seen: bench.seen_knee(input.fetch(:creep, {}))))
          end

          # What the last moves disturbed of what was seen before.
          app.post("/api/fittings/:id/again") do |id|
            bench = bench(id)
            reply(moved: Views::Disturbance.of(bench, evaluation(bench), input[:done]))
          end

          app.post("/api/fittings/:id/creep") do |id|
            bench = bench(id)
            seen = bench.seen_knee(input[:creep])
            refuse(:creep_not_possible) unless seen
            reply(Views::Creep.of(seen, evaluation(bench)))
          end

          app.post("/api/fittings/:id/loads") { |id| reply(Views::Loads.of(bench(id), input)) }

          app.patch("/api/fittings/:id") do |id|
            write_once do
              gym.fittings.hold_drafts(id)
              bench = bench(id)
              row = gym.fittings.save(id, version: input[:version], by: staff[:id], **Sheet.of_input(bench, input))
              share_seat(bench, row)
              Views::Fitting.state(row, by: staff[:name])
            end
          end

          app.post("/api/fittings/:id/acceptance") do |id|
            write_once do
              gym.fittings.hold(id)
              bench = bench(id)
              closing = closing(bench)
              refuse_unacceptable(bench, closing)
              row = gym.fittings.accept(id, **closing)
              share_seat(bench, row)
              gym.queues.stands(row[:machine_id], row[:exercise], row[:marks].to_h, by: staff[:id])
              Views::Fitting.state(row, by: staff[:name])
            end
          end

          # A stop sign ends the fitting: it is kept with what stood there, and never goes on a card.
          app.post("/api/fittings/:id/stop") do |id|
            write_once do
              raise Invalid.new(:not_allowed, path: "/stop_sign") unless Fitting::Signs::STOPS.include?(input[:stop_sign].to_sym)

              gym.fittings.hold(id)
              closing = closing(bench(id), input[:sheet].transform_keys(&:to_sym))
              Views::Fitting.state(gym.fittings.stop(id, stop_sign: input[:stop_sign], **closing), by: staff[:name])
            end
          end

          # Accepted by mistake (wrong client, machine, load): it stays in the history with why, and leaves card and body.
          app.post("/api/fittings/:id/taking-back") do |id|
            write_once do
              reason = input[:reason].strip
              raise Invalid.new(:taking_back_unexplained, path: "/reason") if reason.empty?

              gym.clients.hold_to_write(bench(id).client[:id])

              Views::Fitting.state(gym.fittings.take_back(id, version: input[:version], by: staff[:id], reason: reason), by: staff[:name])
            end
          end

          # Let go, and open again.
          { "discard" => :discard, "return" => :reopen }.each do |address, change|
            app.post("/api/fittings/:id/#{address}") do |id|
              write_once do
                bench(id)
                Views::Fitting.state(gym.fittings.public_send(change, id, version: input[:version], by: staff[:id]), by: staff[:name])
              end
            end
          end
        end

        # What these routes share.
        module Helpers
          def bench(id) = found(Bench.of(gym, id))

          # At the marks that were sent.
          def evaluation(bench) = bench.evaluation(input[:marks], input.fetch(:aids, {}))

          # What a fitting is closed with: the sheet as sent, the result as it was shown, what it was computed from.
          def closing(bench, given = input)
            sheet = Sheet.of_input(bench, given)
            aids = sheet.fetch(:aids) { bench.fitting[:aids].to_h }
            { version: given[:version], by: staff[:id], result: bench.result(given[:marks], aids), computed_from: bench.computed_from,
              description_number: bench.machine_row[:number], **sheet, aids: aids }
          end

          # What is never accepted, whatever the reason; and what is off without one.
          def refuse_unacceptable(bench, closing)
            evaluation = bench.evaluation(closing[:marks], closing[:aids])
            refused = bench.refusals(evaluation, { **bench.fitting.slice(:signs, :work), **closing }).first
            refuse(refused) if refused
            refuse(:past_load_limit) if bench.overloaded?(closing.fetch(:work) { bench.fitting[:work] })
            return unless Fitting::NeverAccepted.reason_needed?(evaluation) && closing.fetch(:reason, "").strip.empty?

            raise Invalid.new(:reason_needed, path: "/reason")
          end

          # Named on a station, and nowhere else.
          def exercise_of(machine, given = input[:exercise])
            known = Store::Tables::Machines.exercises(machine).map(&:to_s)
            given = given.to_s
            raise Invalid.new(:not_allowed, path: "/exercise", known: known) unless known.include?(given)

            given
          end

          def open_fitting(client, machine, exercise)
            raise Invalid.new(:machine_retired, path: "/machine_id") if machine[:state] == "retired"

            bench = Bench.new(gym, client: client, machine_row: machine, exercise: exercise)
            sheet = Sheet.at_opening(bench, last: gym.fittings.last_accepted(client[:id], machine[:id], exercise),
                                            sibling: bench.station? ? gym.fittings.sibling(client[:id], machine[:id], exercise) : nil)
            gym.fittings.open(client_id: client[:id], machine_id: machine[:id], exercise: exercise, description_number: machine[:number], by: staff[:id], **sheet).first
          end

          # A station has one seat: its marks move in every draft that is open on it.
          def share_seat(bench, row)
            gym.fittings.share(row, row[:marks].to_h.slice(*bench.shared), by: staff[:id]) if bench.station?
          end
        end
      end
    end
  end
end
