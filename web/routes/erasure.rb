# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # What belongs to a person: everything about them in one file, and their erasure. For whoever leads the gym.
      module Erasure
        def self.registered(app)
          app.helpers Helpers

          app.get("/api/clients/:id/archive.json") do |id|
            client = client_row(id)
            lead_only
            archive = JSON.pretty_generate(Application::PersonArchive.new(gym, client).to_h)
            on_record(id)
            headers "content-disposition" => "attachment; filename=\"person.json\""
            cache_control :private, :no_store
            archive
          end

          # Confirmed by the name, as it is written; what is left is the trail, which holds ids alone.
          app.post("/api/clients/:id/erasure") do |id|
            write_once do
              client = client_row(id)
              lead_only
              raise Invalid.new(:name_differs, path: "/name") unless input[:name].strip == client[:name]

              Store::Erasure.new(gym).call(client, version: input[:version], keep_marks: input[:keep_marks], gone: gone)
              { ok: true }
            end
          end
        end

        # What these routes share.
        module Helpers
          # What a request about somebody who was erased is answered.
          def gone = [404, JSON.generate(Errors.body(Invalid.new(:not_found)))]
        end
      end
    end
  end
end
