# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # What a client's own joints allow.
      module Limits
        def self.registered(app)
          app.helpers Helpers
          app.get("/api/clients/:id/limits") do |id|
            reply(Views::Limits.page(Questions::ClientLimits.of(gym, client_row(id))))
          end

          # reading null forgets it.
          app.put("/api/clients/:id/limits/:limit") do |id, name|
            write_once do
              client = client_row(id)
              limit = Guidance::Limits.fetch(name)
              limits = client[:limits].except(name)
              limits = limits.merge(name => measured(client, limit)) if input[:reading]
              gym.clients.measure(id, version: input[:version], limits: limits)
              Views::Limits.page(Questions::ClientLimits.of(gym, client_row(id)))
            end
          end

          # right null forgets it.
          app.put("/api/clients/:id/gates/:gate") do |id, name|
            write_once do
              gate = Guidance::Gates.fetch(name)
              client = client_row(id)
              refuse_skipped(client, gate, "/right") unless input[:right].nil?
              limits = client[:limits].except(name)
              limits = limits.merge(gate.name.to_s => signed(right: input[:right])) unless input[:right].nil?
              gym.clients.measure(id, version: input[:version], limits: limits)
              Views::Limits.page(Questions::ClientLimits.of(gym, client_row(id)))
            end
          end

          # Found on the bench: the empty sled, the stop in.
          app.post("/api/fittings/:id/limits/:limit") do |id, name|
            write_once do
              meeting = found(Application::Meeting.of(gym, id))
              limit = Guidance::Limits.fetch(name)
              client = meeting.client
              gym.clients.measure(
                client[:id],
                version: input[:client_version],
                limits: client[:limits].merge(name => found_limit(meeting, limit))
              )
              Views::Limits.page(Questions::ClientLimits.of(gym, client_row(client[:id])))
            end
          end
        end

        # What these routes share.
        module Helpers
          def measured(client, limit)
            refuse_skipped(client, limit)
            signed(deg: limit.degrees(input[:reading]).round(1), reading: input[:reading])
          end

          # As seen on a machine, at a share of its movement.
          def found_limit(meeting, limit)
            refuse_skipped(meeting.client, limit)
            evaluation = meeting.evaluation(input[:marks], Application::Aids.sent(input[:aids]))
            signed(
              **Application::FoundLimit.read(evaluation, limit, input[:share].to_f),
              on: meeting.machine_row[:name]
            )
          end

          # Not measured, nor shown, under a caution that nobody cleared.
          def refuse_skipped(client, limit, path = "/reading")
            uncleared =
              gym.cautions.of(client[:id]).reject { |row| row[:cleared_on] }.map { |row| row[:caution].to_sym }
            raise Invalid.new(:limit_skipped, path: path) unless limit.skipped_for(uncleared).empty?
          end

          def signed(**fields) = { **fields, by: staff[:name], at: Time.now.utc.iso8601 }
        end
      end
    end
  end
end
