# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Photographs that a gym takes of its machines, scaled by the browser before they are sent; and what the gym owns.
      module Photographs
        def self.registered(app)
          app.helpers Helpers

          app.get("/api/photographs/:id") do |id|
            jpeg = found(gym.photographs.find(id))[:jpeg].to_s
            content_type "image/jpeg"
            # Kept by the browser, and asked for each time whether it may still be seen: not after signing out, nor once
            # removed.
            cache_control :private, :no_cache
            etag id
            jpeg
          end

          app.put("/api/machines/:id/photographs") do |id|
            write_once do
              row = machine_row(id)
              gym.photographs.put(
                machine_id: id,
                adjuster: adjuster_of(row),
                taken_by: staff[:id],
                **Inputs::Picture.of(input[:jpeg_base64])
              )
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
            label = input[:adjuster]
            adjusters = Application::Described.parts(row).values.flatten(1)
            unless label.empty? || adjusters.any? { |adjuster| adjuster["label"] == label }
              raise Invalid.new(:unknown_adjuster, path: "/adjuster", adjuster: label)
            end

            label
          end
        end
      end
    end
  end
end
