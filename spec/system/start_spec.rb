# frozen_string_literal: true

require "system_helper"
require "net/http"
require "open3"
require_relative "../support/outside"

# The README's first command, from outside: it starts, says where, serves, stops all it started, and keeps the data.
RSpec.describe "bin/start" do
  let(:folder) { Dir.mktmpdir("verglas-start").tap { |made| File.chmod(0o755, made) } }
  let(:program) do
    "require './ops/server'; Verglas::Ops::Server.new(port: 4700, folder: ARGV[0], fresh: ARGV[1] == 'fresh').run"
  end

  after do
    Verglas::Ops::Cluster.new(File.join(folder, "postgres")).destroy
    FileUtils.rm_rf(folder)
  end

  # Runs the server until it says where it is; yields the address; stops it as Ctrl-C does.
  def served(*arguments)
    Open3.popen2e(Outside::ENVIRONMENT, RbConfig.ruby, "-rbundler/setup", "-e", program, folder, *arguments, chdir: Verglas::ROOT, pgroup: true) do |_, output, thread|
      said = +""
      until said.include?("Ctrl-C")
        line = output.gets or raise "the server ended: #{said}"
        said << line
      end
      begin
        yield said[%r{http://127\.0\.0\.1:\d+}], said
      ensure
        Process.kill(:INT, thread.pid) # else a failed expectation would wait for ever
      end
      expect(thread.value).to be_success
    end
  end

  def database_running? = Verglas::Ops::Cluster.new(File.join(folder, "postgres")).running?

  it "serves the demo gym, stops its database on Ctrl-C, keeps the data, and begins anew when asked" do
    served do |address, said|
      expect(said).to include("maren@netloft.example", "mend the nets")
      expect(Net::HTTP.get_response(URI(address)).code).to eq("200")
      add_client(address, "Kept Person")
    end
    expect(database_running?).to be(false)
    served { |address| expect(clients(address)).to include("Kept Person") }
    served("fresh") { |address| expect(clients(address)).to include("Imre Talbot-Vane").and(not_include("Kept Person")) }
    log = File.join(folder, "log", "requests.log")
    lines = File.readlines(log).map { |line| JSON.parse(line) }
    expect(lines).to include(include("method" => "POST", "path" => "/api/clients/search", "status" => 200, "account" => be_an(Integer), "request" => match(/\A\h{8}-/), "ms" => be_a(Float)))
    expect(File.read(log)).not_to match(/Kept|Talbot/)
    expect(File.stat(log).mode & 0o777).to eq(0o640)
  end

  RSpec::Matchers.define_negated_matcher :not_include, :include

  def post(address, path, body, cookie = nil)
    headers = { "content-type" => "application/json", "cookie" => cookie.to_s, "idempotency-key" => SecureRandom.uuid }
    Net::HTTP.post(URI("#{address}#{path}"), JSON.generate(body), headers)
  end

  def cookie(address)
    answer = post(address, "/auth/login", { email: "maren@netloft.example", password: "mend the nets" })
    answer.get_fields("set-cookie").map { |cookie| cookie.split(";").first }.join("; ")
  end

  def add_client(address, name) = expect(post(address, "/api/clients", { name: name }, cookie(address)).code).to(eq("201"))
  def clients(address) = post(address, "/api/clients/search", { text: "" }, cookie(address)).body
end
