# frozen_string_literal: true

# Tries what docs/operating.md says of TLS: installs Debian's Caddy, puts it with the project's Caddyfile before a gym's
# own server, and looks at that as a tablet would.
#   sudo bundle exec ruby ops/try_tls.rb
require "json"
require "net/http"
require "openssl"
require "tmpdir"
require_relative "../config/core"
require_relative "../spec/support/outside"
require_relative "tried"

NAME = "verglas.test"
Tried = Verglas::Ops::Tried

# The project's file, with another name and ports that nobody has; nothing is put among this machine's own authorities.
def caddyfile(https, plain, behind)
  shipped = File.read(File.join(__dir__, "Caddyfile"))
  of_gym = shipped.sub("verglas.example.lan", NAME).sub("127.0.0.1:4567", "127.0.0.1:#{behind}")
  raise "ops/Caddyfile is not what this script knows" unless of_gym.include?(NAME) && of_gym.include?(behind.to_s)

  "{\n\tadmin off\n\tskip_install_trust\n\thttps_port #{https}\n\thttp_port #{plain}\n}\n#{of_gym}"
end

def caddy(folder, config)
  file = File.join(folder, "Caddyfile")
  File.write(file, config)
  homes = { "XDG_DATA_HOME" => File.join(folder, "data"), "XDG_CONFIG_HOME" => File.join(folder, "config") }
  Process.spawn(homes, "caddy", "run", "--config", file, "--adapter", "caddyfile", %i[out err] => "#{folder}/log")
end

# Waits for the root certificate that Caddy makes, which is put on each tablet.
def root_of(folder)
  file = File.join(folder, "data/caddy/pki/authorities/local/root.crt")
  100.times { File.exist?(file) ? (return file) : sleep(0.1) }
  raise "Caddy made no root certificate: #{File.read(File.join(folder, "log"))}"
end

# As a tablet on which the root certificate lies.
def tablet(port, root)
  http = Net::HTTP.new(NAME, port)
  http.ipaddr = "127.0.0.1"
  http.use_ssl = true
  http.ca_file = root
  http
end

# The first page, once Caddy has a certificate of its name.
def first_page(http, tries: 50)
  http.get("/sign-in")
rescue SystemCallError, OpenSSL::SSL::SSLError
  raise if tries.zero?

  sleep(0.2)
  first_page(http, tries: tries - 1)
end

def post(http, path, body, headers = {})
  http.post(path, JSON.generate(body), { "content-type" => "application/json", **headers })
end

def guess(http, from) = post(http, "/auth/link", { secret: "x" * 22 }, { "x-forwarded-for" => from })

Tried.install("caddy")
folder = Dir.mktmpdir("verglas-tls")
https, plain = Array.new(2) { Tried.free_port }
tried = Tried.new
server = Outside.own
server.tell("PUBLIC_URL" => "https://#{NAME}:#{https}", "TRUSTED_PROXIES" => "127.0.0.1")
begin
  server.start
  running = caddy(folder, caddyfile(https, plain, server.told[%r{http://127\.0\.0\.1:(\d+)}, 1]))
  http = tablet(https, root_of(folder))
  page = first_page(http)
  tried.found("the page comes over TLS, vouched for by the root of Caddy's own authority", page.code == "200")
  lasting = page["strict-transport-security"].to_s
  tried.found("the browser is told to come by TLS alone from now on", lasting.include?("max-age"))
  begun = post(http, "/auth/first", Tried.beginning(server.told))
  tried.found("an empty server is begun through it", begun.code == "200")
  entered = post(http, "/auth/login", Tried::LEAD)
  cookie = entered.get_fields("set-cookie").to_a.find { |one| one.include?("verglas_session") }.to_s
  tried.found("the session's cookie is for this host and TLS alone", cookie.match?(/\A__Host-.*; secure/i))
  me = http.get("/api/me", { "cookie" => cookie.split(";").first })
  tried.found("whoever signed in is known", me.body.include?("Ingrid Tarn"))
  stranger = post(http, "/auth/logout", {}, { "origin" => "https://elsewhere.example" })
  tried.found("a request from another site's page is refused", stranger.code == "403")
  30.times { |number| guess(http, "203.0.113.#{number}") }
  slowed = guess(http, "203.0.113.99").code
  tried.found("who guesses is slowed down whatever address they claim", slowed == "429")
  moved = Net::HTTP.new(NAME, plain).tap { |one| one.ipaddr = "127.0.0.1" }.get("/sign-in")["location"].to_s
  tried.found("whoever comes without TLS is sent to it", moved.start_with?("https://#{NAME}"))
ensure
  Process.kill("TERM", running) && Process.wait(running) if running
  server.destroy
  FileUtils.rm_rf(folder)
end
tried.finish(8)
