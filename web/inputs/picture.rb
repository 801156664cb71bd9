# frozen_string_literal: true

module Verglas
  module Web
    module Inputs
      # A photograph as it was sent: what is kept is a picture and nothing else, no place, no time, no camera, and
      # upright.
      module Picture
        module_function

        # {jpeg:, width_px:, height_px:} of base64 text. Raises Invalid for what is no such picture.
        def of(base64)
          Application::Pictures.plain(base64.unpack1("m0"), path: "/jpeg_base64")
        rescue ArgumentError
          raise Invalid.new(:not_a_jpeg, path: "/jpeg_base64")
        end
      end
    end
  end
end
