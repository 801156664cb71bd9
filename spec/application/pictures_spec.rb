# frozen_string_literal: true

require "spec_helper"
require "vips"
require_relative "../../application/pictures"

# A photograph is a stranger's bytes: whatever they are, the server that is asked goes on.
RSpec.describe "Photographs, decoded apart" do
  let(:pictures) { Verglas::Application::Pictures.new }
  let(:drawn) { Vips::Image.black(24, 16, bands: 3).draw_rect([200, 30, 30], 0, 0, 12, 16, fill: true) }

  after { Process.kill(:KILL, pictures.pid) if pictures.pid }

  def plain(bytes) = pictures.plain(bytes, path: "/jpeg")

  def refused(bytes)
    plain(bytes)
    nil
  rescue Verglas::Invalid => e
    e.code
  end

  it "are written anew by a process of its own, which serves one after another" do
    expect(plain(drawn.jpegsave_buffer)).to include(
      jpeg: a_string_starting_with("\xFF\xD8".b),
      width_px: 24,
      height_px: 16
    )
    first = pictures.pid
    expect([plain(drawn.jpegsave_buffer)[:width_px], pictures.pid]).to eq([24, first])
    expect(first).not_to eq(Process.pid)
  end

  { "JPEG" => ".jpg[Q=40,strip]", "PNG" => ".png[strip]", "WebP" => ".webp[strip]" }.each do |name, format|
    it "of every length of a #{name} cost nobody the server, and the whole ones are taken" do
      whole = drawn.write_to_buffer(format)
      whole = drawn.resize(0.5).write_to_buffer(format) if whole.bytesize > 700
      expect(whole.bytesize).to be_between(30, 700)
      codes = (0...whole.bytesize).map { |length| refused(whole.byteslice(0, length)) }
      expect(codes.tally.except(:not_a_jpeg)).to eq({})
      expect(refused(whole)).to eq(name == "JPEG" ? nil : :not_a_jpeg)
      expect(plain(drawn.jpegsave_buffer)[:width_px]).to eq(24)
    end
  end

  it "of random bytes behind a right head are refused" do
    random = Random.new(11)
    head = drawn.jpegsave_buffer.b.then { |jpeg| jpeg[0, jpeg.index("\xFF\xDA".b) + 14] }
    codes = Array.new(150) { refused(head + random.bytes(random.rand(1..600))) }
    expect(codes).to all(eq(:not_a_jpeg).or(be_nil)) # some random bytes are a picture, however ugly
    expect(plain(drawn.jpegsave_buffer)[:width_px]).to eq(24)
  end

  it "are renewed where one dies, and cost that picture alone" do
    plain(drawn.jpegsave_buffer)
    first = pictures.pid
    Process.kill(:STOP, first)
    stub_const("Verglas::Application::Pictures::SECONDS", 0.3)
    expect([refused(drawn.jpegsave_buffer), pictures.pid]).to eq([:not_a_jpeg, nil])
    stub_const("Verglas::Application::Pictures::SECONDS", 4.0)
    expect(plain(drawn.jpegsave_buffer)[:width_px]).to eq(24)
    Process.kill(:KILL, pictures.pid)
    expect([refused(drawn.jpegsave_buffer), plain(drawn.jpegsave_buffer)[:width_px]]).to eq([:not_a_jpeg, 24])
  end

  it "of thousands of empty passes are refused before anybody decodes them" do
    jpeg = drawn.jpegsave_buffer(interlace: true).b
    pass = jpeg[jpeg.rindex("\xFF\xDA".b)...-2]
    started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    expect(refused(jpeg[0...-2] + (pass * 5000) + "\xFF\xD9".b)).to eq(:not_a_jpeg)
    expect([Process.clock_gettime(Process::CLOCK_MONOTONIC) - started, pictures.pid]).to match([be < 1, nil])
  end

  it "know nothing of the server's secrets" do
    plain(drawn.jpegsave_buffer)
    names = File.read("/proc/#{pictures.pid}/environ").split("\0").map { |pair| pair[/\A[^=]+/] }
    expect(names - Verglas::Application::Pictures::ENVIRONMENT).to be_empty
  end
end
