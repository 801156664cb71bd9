# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Who is signed in, and what the floor page opens with.
      module Floor
        def self.registered(app)
          app.get("/api/me") { reply(Views::Staff.of(staff, gym.row, pin: Store::Tablets.new(db).pin?(staff[:id]))) }

          # As little as a route here can do: benchmarks compare the others with it.
          app.get("/api/ping") { reply({ ok: true }) }

          app.get("/api/floor") do
            reply(open: Store::Queries::OpenFittings.new(gym).call.map { |row| Views::Fitting.open_line(row) },
                  discarded: Store::Queries::DiscardedFittings.new(gym).call.map { |row| Views::Fitting.discarded_line(row) },
                  recent: Store::Queries::RecentClients.new(gym).call.map { |row| Views::Client.recent(row) },
                  machines: gym.machines.all.map { |row| Views::Machine.summary(row) })
          end
        end
      end
    end
  end
end
