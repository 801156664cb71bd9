# frozen_string_literal: true

require "date"

module Verglas
  module Web
    module Routes
      # What belongs to a person: everything about them in one file, and their erasure. For whoever leads the gym.
      module Erasure
        def self.registered(app)
          app.helpers Helpers

          app.get("/api/clients/:id/archive.json") do |id|
            client = client_row(id)
            archive = JSON.pretty_generate(Application::PersonArchive.new(gym, client).to_h)
            on_record(id)
            headers "content-disposition" => "attachment; filename=\"person.json\""
            cache_control :private, :no_store
            archive
          end

          app.get("/api/past-their-time") { reply(clients: past_their_time.map { |row| Views::Client.summary(row) }) }

          # Confirmed by their number, as it was shown; whoever came back meanwhile is left.
          app.post("/api/past-their-time/erasure") do
            write_once do
              rows = past_their_time.select { |row| input[:ids].include?(row[:id]) }
              unless input[:number] == input[:ids].size && rows.size == input[:ids].size
                raise Invalid.new(:number_differs, path: "/number")
              end

              gym.trail.add_all("erase_client", rows.map { |row| row[:id] }, by: staff[:id])
              erase(rows.map { |row| { **gym.clients.find(row[:id]), version: row[:version] } })
            end
          end

          # Confirmed by the name, as it is written; what is left is the trail, which holds ids alone.
          app.post("/api/clients/:id/erasure") do |id|
            write_once do
              client = client_row(id)
              raise Invalid.new(:name_differs, path: "/name") unless input[:name].strip == client[:name]

              erase([{ **client, version: input[:version] }])
            end
          end
        end

        # What these routes share.
        module Helpers
          # Those of whom nothing was written for as many years as the gym keeps what it keeps; nobody where it keeps
          # for ever.
          def past_their_time
            years = gym.row[:keep_years]
            years ? Store::Queries::PastTheirTime.new(gym).call(Date.today.prev_year(years).to_time) : []
          end

          # A file that was let go with them stands in the trail.
          def erase(rows)
            files = Store::Erasure.new(gym).call(rows, keep_marks: input[:keep_marks], gone: gone)
            gym.trail.add_all("let_file_go", files, by: staff[:id])
            # Nothing is told by what was learned of them.
            Application::Kept.shared.empty
            { ok: true }
          end

          # What a request about somebody who was erased is answered.
          def gone = [404, JSON.generate(Errors.body(Invalid.new(:not_found)))]
        end
      end
    end
  end
end
