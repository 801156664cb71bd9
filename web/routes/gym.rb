# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # What a gym says of itself: read by its staff, set by whoever leads it.
      module Gym
        def self.registered(app)
          app.get("/api/gym") { reply(Views::GymSettings.of(gym)) }

          app.get("/api/aims") { reply(Views::Aims.of(gym)) }

          app.put("/api/aims") do
            write_once do
              gym.aims.replace(input[:aims].map { |aim| Inputs::Aim.row(aim) }, version: input[:version])
              Views::Aims.of(gym)
            end
          end

          app.get("/api/tempos") { reply(Views::Tempos.of(gym)) }

          app.put("/api/tempos") do
            write_once do
              gym.tempos.replace(input[:tempos].map { |row| Inputs::Tempo.row(row) }, version: input[:version])
              Views::Tempos.of(gym)
            end
          end

          app.put("/api/gym") do
            write_once do
              lead_only
              gym.settle(version: input[:version], **input.slice(:address, :wall_names, :keep_years))
              Views::GymSettings.of(gym)
            end
          end
        end
      end
    end
  end
end
