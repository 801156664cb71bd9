# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # The gym's machines.
      module Machines
        def self.registered(app)
          app.get("/api/machines") { reply(machines: gym.machines.all.map { |row| Views::Machine.summary(row) }) }
        end
      end
    end
  end
end
