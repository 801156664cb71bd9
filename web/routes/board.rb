# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Clients by machines.
      module Board
        USUAL_WEEKS = 4
        WEEK_S = 7 * 86_400

        def self.registered(app)
          app.get("/api/board") do
            since = Time.now - ((params["weeks"] || USUAL_WEEKS).to_i * WEEK_S)
            reply(Views::Board.of(Questions::Board.of(gym, since: since, place: params["place"])))
          end
        end
      end
    end
  end
end
