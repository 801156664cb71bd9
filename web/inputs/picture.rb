# frozen_string_literal: true

require "vips"

module Verglas
  module Web
    module Inputs
      # A photograph as it was sent, decoded and written anew (libvips): what is kept is a picture and nothing else, no place, no
      # time, no camera, and upright. Its size is read from its head and bounded before anything is decoded; a head without a
      # picture is refused.
      module Picture
        MOST_PX = 1600
        QUALITIES = [84, 70, 55].freeze
        MOST_BYTES = 700_000

        Vips.cache_set_max(0)
        Vips.concurrency_set(1)

        module_function

        # {jpeg:, width_px:, height_px:} of base64 text. Raises Invalid for what is no such picture.
        def of(base64)
          image = upright(base64.unpack1("m0"))
          jpeg = QUALITIES.lazy.map { |quality| image.jpegsave_buffer(Q: quality, strip: true, optimize_coding: true) }.find { |bytes| bytes.bytesize <= MOST_BYTES }
          raise Invalid.new(:picture_size, path: "/jpeg_base64") unless jpeg

          { jpeg: jpeg, width_px: image.width, height_px: image.height }
        rescue ArgumentError, Vips::Error
          raise Invalid.new(:not_a_jpeg, path: "/jpeg_base64")
        end

        def upright(bytes)
          raise Vips::Error, "no JPEG" unless bytes.start_with?("\xFF\xD8\xFF".b)

          head = Vips::Image.jpegload_buffer(bytes, fail_on: :error)
          raise Invalid.new(:picture_too_large, path: "/jpeg_base64", most: MOST_PX) if [head.width, head.height].max > MOST_PX

          plain(head.autorot.copy_memory)
        end

        # In the colours of screens, without whatever else was in it.
        def plain(image) = image.bands == 1 ? image : image.colourspace(:srgb)
        private_class_method :upright, :plain
      end
    end
  end
end
