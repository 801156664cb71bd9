# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Groups that rotate over machines.
      module Circles
        def self.registered(app)
          app.helpers Helpers
          app.get("/api/circles") { reply({ circles: gym.circles.all.map { |row| Views::Circle.summary(row) } }) }

          # Before they are gathered: asked for each as they are picked, so that the group stands at once.
          app.get("/api/clients/:id/stations") do |id|
            row = client_row(id)
            reply({ works: Application::Sessions::Places.new(gym, [row[:id]]).works(row[:id]) })
          end

          app.post("/api/circles") { write_once(status: 201) { circle(gathering.add(gym, gathered, by: staff[:id])) } }

          app.get("/api/circles/:id") { |id| reply(circle(circle_row(id))) }
          app.put("/api/circles/:id") do |id|
            write_once do
              circle(gathering.change(gym, circle_row(id), gathered, version: input[:version], by: staff[:id]))
            end
          end

          app.post("/api/circles/:id/round") do |id|
            write_once do
              circle_row(id)
              circle(gym.circles.turn(id, round: input[:round], version: input[:version], by: staff[:id]))
            end
          end

          app.post("/api/circles/:id/removal") do |id|
            write_once do
              circle_row(id)
              gym.circles.remove(id, version: input[:version])
              { ok: true }
            end
          end

          app.get("/api/circles/:id/grid.pdf") do |id|
            row = circle_row(id)
            on_record(id)
            pdf "group", Formats::Paper::CircleGrid.new(Views::CirclePaper.of(circle(row), gym.row)).render
          end
        end

        # What these routes share.
        module Helpers
          def gathering = Application::Sessions::Gathering
          def circle_row(id) = found(gym.circles.find(id))
          def circle(row) = Views::Circle.of(Questions::Circle.of(gym, row))

          # People of this gym, as they were sent.
          def gathered
            { **input.slice(:name, :work_s, :stations), people: input[:people].map { |id| client_row(id)[:id] } }
          end
        end
      end
    end
  end
end
