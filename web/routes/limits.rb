# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # What a client's own joints allow.
      module Limits
        def self.registered(app)
          app.helpers Helpers
          app.get("/api/clients/:id/limits") { |id| reply(Views::Limits.page(gym, client_row(id))) }

          # reading null forgets it.
          app.put("/api/clients/:id/limits/:limit") do |id, name|
            write_once do
              client = client_row(id)
              limit = Guidance::Limits.fetch(name)
              limits = client[:limits].except(name)
              limits = limits.merge(name => measured(client, limit)) if input[:reading]
              gym.clients.measure(id, version: input[:version], limits: limits)
              Views::Limits.page(gym, client_row(id))
            end
          end
        end

        # What these routes share.
        module Helpers
          # Not measured under a caution that nobody cleared.
          def measured(client, limit)
            uncleared = gym.cautions.of(client[:id]).reject { |row| row[:cleared_on] }.map { |row| row[:caution].to_sym }
            raise Invalid.new(:limit_skipped, path: "/reading") unless limit.skipped_for(uncleared).empty?

            { deg: limit.degrees(input[:reading]).round(1), reading: input[:reading], by: staff[:name], at: Time.now.utc.iso8601 }
          end
        end
      end
    end
  end
end
