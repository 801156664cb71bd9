# frozen_string_literal: true

require "web_helper"
require "puma"
require "zlib"

RSpec.describe Verglas::Web::Assets do
  let(:root) { Dir.mktmpdir }
  let(:script) { "const ice = 'clear';\n" * 40_000 }
  let(:app) { described_class.new(->(_env) { [200, {}, ["the page"]] }, root: root) }

  before do
    FileUtils.mkdir_p(File.join(root, "assets"))
    {
      "main-1.js" => script,
      "main-1.js.gz" => Zlib.gzip(script),
      "main-1.js.br" => "as brotli has it",
      "plain.woff2" => "font"
    }.each { |name, bytes| File.binwrite(File.join(root, "assets", name), bytes) }
    File.write(File.join(root, "robots.txt"), "User-agent: *")
  end

  after { FileUtils.rm_rf(root) }

  def ask(path, **env) = Rack::MockRequest.new(app).get(path, env)

  it "sends the smallest copy that a browser takes, and the file itself to others" do
    told =
      {
        "br, gzip" => "br",
        "gzip, deflate" => "gzip",
        "br;q=0, gzip" => "gzip",
        "*" => "br",
        "identity" => nil,
        "" => nil
      }.map do |accepted, encoding|
        answer = ask("/assets/main-1.js", "HTTP_ACCEPT_ENCODING" => accepted)
        [answer["content-encoding"], encoding, answer.body.bytesize == answer["content-length"].to_i, answer["vary"]]
      end
    expect(told.map { |got, wanted, *| got == wanted }).to all(be(true))
    expect(told.map { |answer| answer.drop(2) }.uniq).to eq([[true, "accept-encoding"]])
    expect(Zlib.gunzip(ask("/assets/main-1.js", "HTTP_ACCEPT_ENCODING" => "gzip").body)).to eq(script)
  end

  it "names type and keeping, answers a head without a body, and leaves everything else alone" do
    expect(ask("/assets/main-1.js").headers.values_at("content-type", "cache-control")).to eq(
      ["text/javascript", "public, max-age=31536000, immutable"]
    )
    expect(ask("/robots.txt").headers.values_at("content-type", "cache-control")).to eq(
      ["text/plain", "public, max-age=3600"]
    )
    expect(Rack::MockRequest.new(app).head("/assets/plain.woff2").body).to eq("")
    expect(%w[/assets/../robots.txt /assets/main-1.js.gz /assets/none.js /].map { |path| ask(path).body }).to all(
      eq("the page")
    )
  end

  it "does not let those who ask and read nothing keep the server from others" do
    stub_const("Puma::Const::WRITE_TIMEOUT", 1)
    server = Puma::Server.new(app, nil, { min_threads: 2, max_threads: 2, log_writer: Puma::LogWriter.null })
    port = server.add_tcp_listener("127.0.0.1", 0).addr[1]
    server.run
    readers = Array.new(4) { hungry(port) }
    started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    expect(Net::HTTP.start("127.0.0.1", port, read_timeout: 20) { |http| http.get("/").body }).to eq("the page")
    expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - started).to be < 15
  ensure
    readers&.each(&:close)
    server&.stop(true)
  end

  # Asks ten times for a large file and reads nothing.
  def hungry(port)
    socket = Socket.new(:INET, :STREAM)
    socket.setsockopt(:SOCKET, :RCVBUF, 4096)
    socket.connect(Addrinfo.tcp("127.0.0.1", port))
    socket.write("GET /assets/main-1.js HTTP/1.1\r\nHost: localhost\r\n\r\n" * 10)
    socket
  end
end
