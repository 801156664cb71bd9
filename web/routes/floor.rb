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

          app.get("/api/floor") { reply(Views::Floor.of(gym)) }
        end
      end
    end
  end
end
