# frozen_string_literal: true

# A process of its own that decodes photographs, one after another, and writes them anew (libvips): what comes in is a
# stranger's bytes, and what decodes them may die of them. It knows nothing but what it is sent, and ends when nobody
# listens any more. In: 4 bytes length, the bytes. Out: 4 bytes length, JSON ({"code"} of a refusal, or {"width_px",
# "height_px", "bytes"}), then the JPEG.
require "json"
require "vips"

# The most that a picture may be: pixels each way, as it was scaled by the browser; bytes written anew, at one of these
# qualities.
MOST_PX = Integer(ARGV.fetch(0))
MOST_BYTES = 700_000
QUALITIES = [84, 70, 55].freeze
JPEG = "\xFF\xD8\xFF".b.freeze

Vips.cache_set_max(0)
Vips.concurrency_set(1)

# In the colours of screens, upright, without whatever else was in it. write_to_memory decodes all of it or raises;
# copy_memory answers an image that is none, and the next thing that is asked of it ends the process.
def plain(bytes)
  head = Vips::Image.jpegload_buffer(bytes, autorotate: true, fail_on: :warning)
  return "picture_too_large" if [head.width, head.height].max > MOST_PX

  image = head.bands == 1 ? head : head.colourspace(:srgb)
  Vips::Image.new_from_memory(image.write_to_memory, image.width, image.height, image.bands, image.format)
end

def told(bytes)
  return [{ code: "not_a_jpeg" }] unless bytes.start_with?(JPEG)

  image = plain(bytes)
  return [{ code: image }] if image.is_a?(String)

  jpeg =
    QUALITIES
      .lazy
      .map { |quality| image.jpegsave_buffer(Q: quality, strip: true, optimize_coding: true) }
      .find { |written| written.bytesize <= MOST_BYTES }
  jpeg ? [{ width_px: image.width, height_px: image.height, bytes: jpeg.bytesize }, jpeg] : [{ code: "picture_size" }]
rescue Vips::Error
  [{ code: "not_a_jpeg" }]
end

$stdin.binmode
$stdout.binmode
while (length = $stdin.read(4)&.unpack1("N"))
  bytes = $stdin.read(length)
  break unless bytes&.bytesize == length

  head, jpeg = told(bytes)
  json = JSON.generate(head)
  $stdout.write([json.bytesize].pack("N"), json, jpeg.to_s)
  $stdout.flush
end
