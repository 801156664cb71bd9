# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # A gym's data out, as tables and as one archive, and files on their way in: for whoever leads the gym.
      # docs/formats/
      module Exchange
        def self.registered(app)
          app.helpers Helpers

          Formats::Csv::Sheets::ALL.each_key do |kind|
            app.get("/api/export/#{kind}.csv") do
              sent("#{kind}.csv", "text/csv; charset=utf-8", Application::Outgoing.new(gym).lines(kind))
            end
          end

          app.get("/api/export/gym.json") do
            sent("gym.json", "application/json", Store::Archive::Outgoing.new(gym, health: false))
          end
          app.get("/api/export/gym-with-health-notes.json") do
            sent("gym-with-health-notes.json", "application/json", Store::Archive::Outgoing.new(gym, health: true))
          end

          app.post("/api/imports") do
            write_once(status: 201) do
              units = { "length" => input[:length_unit], "mass" => input[:mass_unit] }
              state(intake.begin(kind: input[:kind], bytes: input[:bytes], units: units))
            end
          end

          app.get("/api/imports/:id") do |id|
            row = found(gym.imports.find(id))
            reply(Views::Import.page(Questions::Import.of(gym, row, told: intake.told(row))))
          end

          # Its bytes, as many requests as it takes.
          app.put("/api/imports/:id/chunks") { |id| go_on(id) { |row| intake.receive(row, input[:number], chunk) } }

          app.post("/api/imports/:id/step") { |id| go_on(id) { |row| intake.step(row) } }

          app.post("/api/imports/:id/taking") do |id|
            write_once do
              row = found(gym.imports.hold(id))
              state(intake.take(row, leave: input[:leave_refused], until_asked: input[:until_asked]))
            end
          end

          app.post("/api/imports/:id/removal") do |id|
            write_once do
              found(gym.imports.hold_free(id))
              gym.imports.delete(id)
              { ok: true }
            end
          end
        end

        # What these routes share.
        module Helpers
          def intake = Application::Intake.new(gym, by: staff[:id])
          def state(row) = Views::Import.state(Questions::Import.of(gym, row))

          # One step of a file on its way: what the gym holds is not changed by it, so the trail does not tell of each.
          def go_on(id)
            write_once(trail: false) do
              row = found(gym.imports.hold(id))
              yield row
              state(gym.imports.find(id))
            end
          end

          def chunk
            bytes = input[:base64].unpack1("m0")
            raise Invalid.new(:wrong_form, path: "/base64") if bytes.bytesize > Application::Intake::CHUNK_BYTES

            bytes
          rescue ArgumentError
            raise Invalid.new(:wrong_form, path: "/base64")
          end

          # Told in the trail, then sent as it is read.
          def sent(name, type, lines)
            on_record(nil)
            content_type type
            headers "content-disposition" => "attachment; filename=\"#{name}\""
            cache_control :private, :no_store
            body(lines)
          end
        end
      end
    end
  end
end
