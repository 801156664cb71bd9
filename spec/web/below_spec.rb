# frozen_string_literal: true

require "web_helper"
require "net/http"
require "puma"

# Below the application: what the server answers and writes of requests that are none.
RSpec.describe Verglas::Web::Below do
  let(:told) { StringIO.new }
  let(:server) do
    log = described_class::Log.new(StringIO.new, told)
    Puma::Server.new(
      Http::APP,
      nil,
      { min_threads: 1, max_threads: 2, log_writer: log, lowlevel_error_handler: described_class::ANSWER }
    )
  end

  def answers(*requests)
    port = server.add_tcp_listener("127.0.0.1", 0).addr[1]
    server.run
    requests.map do |text|
      Socket.tcp("127.0.0.1", port) do |socket|
        socket.write(text)
        socket.read
      end
    end
  ensure
    server.stop(true)
  end

  it "answers a head that is none, and a chunk of seventeen digits, with an Error, and repeats nothing of it" do
    head = "Host: localhost\r\nCookie: verglas_session=zxsecret\r\n"
    broken = [
      "GET /api/clients?name=zxname HTTP/1.1\r\n#{head}Bad Header Line zxhead\r\n\r\n",
      "POST /api/clients HTTP/1.1\r\n#{head}Content-Type: application/json\r\nTransfer-Encoding: " \
        "chunked\r\n\r\n11111111111111111\r\nabc",
      "\x16\x03\x01zxbinary\r\n\r\n"
    ]
    answers(*broken).each do |answer|
      expect(answer).to match(%r{\AHTTP/1\.[01] 400 }), told.string
      expect(JSON.parse(answer[/\{.*\}/m])).to include("code" => "not_json", "message" => /not understood/)
    end
    expect(told.string).to include("HttpParserError")
    expect(told.string).not_to match(/zx|Cookie|verglas_session|name=/)
  end
end
