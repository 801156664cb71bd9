# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Who is signed in, and what the floor page opens with.
      module Floor
        def self.registered(app)
          app.helpers Helpers

          app.get("/api/me") { reply(me(staff)) }

          # A choice of one's own: the later one holds.
          app.put("/api/me") { write_once { me(Store::Staff.choose(db, staff[:id], input.slice(:short_bench))) } }

          # As little as a route here can do: benchmarks compare the others with it.
          app.get("/api/ping") { reply({ ok: true }) }

          app.get("/api/floor") { reply(Views::Floor.of(Questions::Floor.of(gym))) }
        end

        # What these routes share.
        module Helpers
          def me(row) = Views::Staff.of(row, gym.row, pin: Store::Tablets.new(db).pin?(row[:id]))
        end
      end
    end
  end
end
