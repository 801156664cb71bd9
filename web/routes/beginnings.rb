# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # What a gym that was begun wants next; the caution table signed by the clinician who reviewed it.
      module Beginnings
        def self.registered(app)
          app.get("/api/beginnings") { reply(Questions::Beginnings.of(gym).done) }

          app.put("/api/gym/caution-review") do
            write_once do
              name = Inputs::Name.tidy(input[:by], "/by")
              gym.settle(version: input[:version], cautions_reviewed_by: name, cautions_reviewed_on: Date.today)
              Views::GymSettings.of(Questions::GymSettings.of(gym))
            end
          end
        end
      end
    end
  end
end
