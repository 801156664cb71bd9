# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Clients by machines.
      module Board
        USUAL_WEEKS = 4

        def self.registered(app)
          app.get("/api/board") do
            reply(Views::Board.of(gym, weeks: (params["weeks"] || USUAL_WEEKS).to_i, place: params["place"]))
          end
        end
      end
    end
  end
end
