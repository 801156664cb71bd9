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
              existing = gym.fittings.draft(client[:id], machine[:id])
              row = existing || open_fitting(client, machine)
              { id: row[:id], made: existing.nil? }
            end
          end

          app.get("/api/fittings/:id") { |id| reply(Views::Fitting.page(bench(id), gym)) }

          # Pure computation: nothing is written, so it may be asked as often as an adjuster is stepped.
          app.post("/api/fittings/:id/evaluation") { |id| reply(Views::Evaluation.of(bench(id).evaluation(input[:marks]))) }

          app.patch("/api/fittings/:id") do |id|
            write_once do
              bench(id).machine.indices(input[:marks])
              Views::Fitting.state(gym.fittings.save(id, version: input[:version], marks: input[:marks], by: staff[:id]), by: staff[:name])
            end
          end

          app.post("/api/fittings/:id/acceptance") do |id|
            write_once do
              bench = bench(id)
              row = gym.fittings.accept(id, version: input[:version], marks: input[:marks], result: bench.result(input[:marks]),
                                            computed_from: bench.computed_from, by: staff[:id])
              Views::Fitting.state(row, by: staff[:name])
            end
          end

          app.post("/api/fittings/:id/discard") do |id|
            write_once do
              bench(id)
              gym.fittings.discard(id, version: input[:version])
              { ok: true }
            end
          end
        end

        # What these routes share.
        module Helpers
          def bench(id) = found(Bench.of(gym, id))

          def open_fitting(client, machine)
            last = gym.fittings.last_accepted(client[:id], machine[:id])
            bench = Bench.new(client: client, readings: gym.readings.of(client[:id]), machine_row: machine)
            marks = last && last[:description_number] == machine[:number] ? last[:marks] : bench.advice.marks
            gym.fittings.open(client_id: client[:id], machine_id: machine[:id], description_number: machine[:number],
                              marks: marks, by: staff[:id]).first
          end
        end
      end
    end
  end
end
