# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Tape readings of a client. A slip is refused with what was expected; the same value confirmed is kept and stays
      # marked.
      module Readings
        def self.registered(app)
          app.put("/api/clients/:id/readings/:observation") do |id, observation|
            write_once do
              reading = Inputs::Reading.of(input, observation)
              Inputs::Reading.check_slip!(client_row(id), gym.readings.of(id), reading, input[:unit])
              gym.clients.touch(id, version: input[:version])
              gym.readings.put(
                client_id: id,
                observation: observation,
                value_mm: reading.value_mm,
                unit: input[:unit],
                confirmed: reading.confirmed,
                taken_by: staff[:id]
              )
              Views::ClientPage.of(Questions::ClientPage.of(gym, client_row(id)))
            end
          end

          app.delete("/api/clients/:id/readings/:observation") do |id, observation|
            write_once do
              client_row(id)
              gym.clients.touch(id, version: Integer(request.params["version"], 10))
              gym.readings.delete(client_id: id, observation: observation)
              Views::ClientPage.of(Questions::ClientPage.of(gym, client_row(id)))
            end
          end
        end
      end
    end
  end
end
