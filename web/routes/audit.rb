# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Who did what: for whoever leads the gym.
      module Audit
        def self.registered(app)
          app.get("/api/audit") do
            trail = Questions::Trail.of(gym, before: params["before"]&.to_i, of: params["of"])
            on_record(params["of"])
            reply(Views::AuditTrail.of(trail))
          end
        end
      end
    end
  end
end
