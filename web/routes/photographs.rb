# frozen_string_literal: true

require "fastimage"

module Verglas
  module Web
    module Routes
      # Photographs that a gym takes of its machines, scaled by the browser before they are sent; and what the gym owns.
      module Photographs
        MOST_PX = 1600

        def self.registered(app)
          app.helpers Helpers

          app.get("/api/photographs/:id") do |id|
            jpeg = found(gym.photographs.find(id))[:jpeg].to_s
            content_type "image/jpeg"
            cache_control :private, :immutable, max_age: 31_536_000
            jpeg
          end

          app.put("/api/machines/:id/photographs") do |id|
            write_once do
              row = machine_row(id)
              gym.photographs.put(machine_id: id, adjuster: adjuster_of(row), taken_by: staff[:id], **picture)
              { photographs: gym.photographs.of(id) }
            end
          end

          app.post("/api/machines/:id/photographs/removal") do |id|
            write_once do
              gym.photographs.delete(machine_id: machine_row(id)[:id], adjuster: input[:adjuster])
              { photographs: gym.photographs.of(id) }
            end
          end
        end

        # What these routes share.
        module Helpers
          # "" is the machine itself.
          def adjuster_of(row)
            parts = [row[:adjusters].to_a, *row[:exercises].to_h.values.map { |part| part["adjusters"] }].flatten
            label = input[:adjuster]
            raise Invalid.new(:unknown_adjuster, path: "/adjuster", adjuster: label) unless label.empty? || parts.any? { |adjuster| adjuster["label"] == label }

            label
          end

          def picture
            jpeg = input[:jpeg_base64].unpack1("m0")
            image = StringIO.new(jpeg)
            raise Invalid.new(:not_a_jpeg, path: "/jpeg_base64") unless FastImage.type(image) == :jpeg

            image.rewind
            width, height = FastImage.size(image)
            raise Invalid.new(:not_a_jpeg, path: "/jpeg_base64") unless width && [width, height].max <= MOST_PX

            { jpeg: jpeg, width_px: width, height_px: height }
          rescue ArgumentError
            raise Invalid.new(:not_a_jpeg, path: "/jpeg_base64")
          end
        end
      end
    end
  end
end
