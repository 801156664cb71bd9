# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # A client's cautions. Which one is meant stands in the body: an address says nothing of anybody's health.
      module Cautions
        def self.registered(app)
          app.helpers Helpers
          app.get("/api/clients/:id/cautions") do |id|
            client = client_row(id)
            on_record(id)
            reply(Views::Cautions.page(Questions::ClientCautions.of(gym, client)))
          end

          app.put("/api/clients/:id/cautions") do |id|
            write_caution(id) do |client, caution|
              gym.cautions.put(
                client,
                caution,
                version: input[:version],
                by: staff[:id],
                **caution_fields(client, caution)
              )
              # Whoever wrote down a clinician's word is named for it.
              gym.trail.add("cleared_caution", by: staff[:id], subject: client) if input[:cleared_on]
            end
          end

          # All of them were asked about: which were answered with yes, or that none was.
          app.post("/api/clients/:id/cautions/asking") do |id|
            write_once do
              client = client_row(id)
              Application::Asking.new(gym, client, by: staff[:id]).answered(
                input[:seen],
                none: input[:none],
                version: input[:version]
              )
              Views::Cautions.page(Questions::ClientCautions.of(gym, client_row(id)))
            end
          end

          # One that was written by mistake; one that is over is cleared by a clinician.
          app.post("/api/clients/:id/cautions/removal") do |id|
            reason = input[:reason].strip
            raise Invalid.new(:removal_unexplained, path: "/reason") if reason.empty?

            write_caution(id) do |client, caution|
              gym.cautions.remove(client, caution, version: input[:version], by: staff[:id], reason: reason)
            end
          end

          app.post("/api/clients/:id/cautions/return") do |id|
            write_caution(id) { |client, caution| gym.cautions.put_back(client, caution, version: input[:version]) }
          end
        end

        # What these routes share.
        module Helpers
          # What stands of a caution from now on: of a clinician who is signed in, their word alone.
          def caution_fields(client_id, caution)
            fields = Inputs::Caution.fields(staff[:role] == "clinician" ? signed_input : input)
            return fields unless staff[:role] == "clinician"

            Application::CliniciansWord.of(fields, caution, standing: gym.cautions.of(client_id), name: staff[:name])
          end

          # Under whose name it stands need not be typed.
          def signed_input = { **input, cleared_by: input[:cleared_on] ? staff[:name] : "" }

          # Yields the client's id and the caution's name; answers the page as it stands then.
          def write_caution(id)
            write_once do
              client = client_row(id)
              Guidance::Cautions.fetch(input[:caution])
              yield client[:id], input[:caution]
              Views::Cautions.page(Questions::ClientCautions.of(gym, client))
            end
          end
        end
      end
    end
  end
end
