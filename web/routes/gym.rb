# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # What a gym says of itself: read by its staff, set by whoever leads it.
      module Gym
        # Tables that are written whole, over the version that was seen: what a row of each is typed as, how they are
        # asked for and shown.
        WHOLE = {
          aims: [Inputs::Aim, Questions::Aims, Views::Aims],
          tempos: [Inputs::Tempo, Questions::Tempos, Views::Tempos]
        }.freeze

        def self.registered(app)
          app.get("/api/gym") { reply(Views::GymSettings.of(Questions::GymSettings.of(gym))) }

          WHOLE.each do |name, (typed, asked, shown)|
            app.get("/api/#{name}") { reply(shown.of(asked.of(gym))) }

            app.put("/api/#{name}") do
              write_once do
                gym.public_send(name).replace(input[name].map { |row| typed.row(row) }, version: input[:version])
                shown.of(asked.of(gym))
              end
            end
          end

          app.put("/api/gym") do
            write_once do
              gym.settle(version: input[:version], **chosen_settings)
              Views::GymSettings.of(Questions::GymSettings.of(gym))
            end
          end
          app.helpers Helpers
        end

        # What these routes share.
        module Helpers
          SETTINGS = %i[
            address
            wall_names
            own_pages
            locale
            length_unit
            keep_years
            ask_again_months
            consent_text
            idle_minutes
          ].freeze

          def chosen_settings
            fields = input.slice(*SETTINGS)
            input.key?(:name) ? { **fields, name: Inputs::Name.tidy(input[:name], "/name") } : fields
          end
        end
      end
    end
  end
end
