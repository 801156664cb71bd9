# frozen_string_literal: true

require "date"

module Verglas
  module Web
    module Routes
      # What is printed: a client's card, and the same as text.
      module Papers
        CARDS = { "a6" => Formats::Paper::Cards, "a4" => Formats::Paper::FloorSheet }.freeze

        def self.registered(app)
          app.helpers Helpers

          app.get("/api/clients/:id/card.pdf") do |id|
            row = client_row(id)
            on_record(id)
            cautions_on_record(row)
            pdf "card",
                CARDS
                  .fetch(params.fetch("paper", "a6"))
                  .new(card(row), address: address_of("clients/#{row[:id]}"))
                  .render
          end

          app.get("/api/machines/:id/sheet") { |id| reply(sheet(machine_row(id))) }
          app.get("/api/machines/:id/sheet.pdf") do |id|
            sheet = sheet(machine_row(id))
            on_record(id)
            pdf "sheet", Formats::Paper::WallSheet.new(Views::WallSheet.to_print(sheet, Date.today)).render
          end

          # In true size, for an adjuster whose marks are to be stuck on.
          app.get("/api/machines/:id/scale.pdf") do |id|
            pdf "scale",
                Formats::Paper::Scale.new(
                  **Views::Scale.of(machine_row(id), params["exercise"].to_s, params["adjuster"].to_s)
                ).render
          end

          app.get("/api/clients/:id/card.txt") do |id|
            row = client_row(id)
            on_record(id)
            cautions_on_record(row)
            content_type "text/plain", charset: "utf-8"
            cache_control :private, :no_store
            Views::Card.text(card(row))
          end
        end

        # What these routes share.
        module Helpers
          def pdf(name, bytes)
            content_type "application/pdf"
            headers "content-disposition" => "inline; filename=\"#{name}.pdf\""
            cache_control :private, :no_store
            bytes
          end

          # As of today, or of the day that the address asks for.
          def card(row)
            return Views::Card.of(Questions::Card.of(gym, row)) unless day_asked

            Views::Card.on_day(Questions::CardOn.of(gym, row, day_asked))
          end

          # A paper that somebody's cautions are read on.
          def cautions_on_record(client)
            return unless gym.cautions.of(client[:id]).any?
            gym.trail.add("cautions_on_paper", by: staff[:id], subject: client[:id])
          end

          # As the address asks for it: which columns, in which order, names in which way.
          def sheet(row)
            exercise = exercise_of(row, params["exercise"])
            Views::WallSheet.of(
              Questions::WallSheet.of(gym, row, exercise, most: Views::WallSheet::MOST),
              columns: params["columns"]&.split(","),
              sort: params.fetch("sort", "name"),
              names: params["names"]
            )
          end

          # Where a place of this gym is found on its own network; nil where nobody said.
          def address_of(place)
            address = gym.row[:address]
            "#{address}/#{place}" unless address.empty?
          end

          # nil: as of today.
          def day_asked
            day = params["day"] or return
            Date.iso8601(day).then { |date| date < Date.today ? date : nil }
          rescue Date::Error
            raise Invalid.new(:wrong_form, path: "/day")
          end
        end
      end
    end
  end
end
