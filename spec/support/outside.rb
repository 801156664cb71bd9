# frozen_string_literal: true

require "net/http"
require "open3"
require "tmpdir"
require_relative "../../ops/cluster"

# The server as it is started, in a process and a folder of its own, spoken to over HTTP.
class Outside
  PROGRAM =
    "require './ops/server'; require './ops/demo_gym'; Verglas::Ops::Server.new(scenario: " \
      "Verglas::Ops::DemoGym.new, port: 4800, folder: ARGV[0], fresh: ARGV[1] == 'fresh').run"
  # Nothing of what the specs set for themselves. Nor their compiler: what lives for seconds starts faster without.
  ENVIRONMENT = {
    "APP_ENV" => nil,
    "DATABASE_URL" => nil,
    "SESSION_SECRET" => nil,
    "NOTES_KEY" => nil,
    "RUBYOPT" => nil
  }.freeze

  # told: what it wrote; folder: where its data lie; ended: the status it ended with.
  attr_reader :told, :folder, :ended

  # One for all that start, stop and kill it in turn: making its database and demo gym takes longer than most of them.
  def self.kept
    @kept ||= new.tap { |made| RSpec.configuration.after(:suite) { made.destroy } }
  end

  # command: what is run with Ruby instead of the start command's own; environment: what it is told beside.
  def initialize(command: ["-e", PROGRAM], environment: {})
    @folder = Dir.mktmpdir("verglas-outside").tap { |made| File.chmod(0o755, made) }
    @command = command
    @environment = { **ENVIRONMENT, **environment }
  end

  # Of a gym's own, on a port that is free.
  def self.own
    port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1].to_s }
    new(command: ["ops/serve.rb"], environment: { "PORT" => port }).tap { |made| made.tell("DATA_DIR" => made.folder) }
  end

  # More of the environment that it is started in.
  def tell(more) = @environment.merge!(more)

  # A command of this server's owner, in its environment: what it said, and its status.
  def command(file, *arguments)
    Open3.capture2e(@environment, RbConfig.ruby, "-rbundler/setup", file, *arguments, chdir: Verglas::ROOT)
  end

  def cluster = @cluster ||= Verglas::Ops::Cluster.new(File.join(@folder, "postgres"))

  # Unless it runs; arguments: "fresh", to begin anew. Waits until it says where it is.
  def start(*arguments)
    return if @process

    @input, output, @process =
      Open3.popen2e(
        @environment,
        RbConfig.ruby,
        "-rbundler/setup",
        *@command,
        @folder,
        *arguments,
        chdir: Verglas::ROOT,
        pgroup: true
      )
    said = +""
    said << (output.gets or raise "the server ended: #{said}") until said.include?("Ctrl-C")
    @told = said
    Thread.new { output.each_line { |line| said << line } }
    @address = URI(said[%r{http://127\.0\.0\.1:\d+}])
  end

  # Another one in the same folder, which is expected to end: what it said, and its status.
  def again
    Open3.capture2e(@environment, RbConfig.ruby, "-rbundler/setup", *@command, @folder, chdir: Verglas::ROOT)
  end

  # Seconds until it had ended.
  def stop(signal)
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    Process.kill(signal, @process.pid)
    @ended = @process.value
    @process = nil
    Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
  end

  # As before the first start, with the data kept: a server that finds its database running does not look after it.
  def rest
    stop(:TERM) if @process
    cluster.stop if cluster.running?
  end

  def request(verb, path, body = nil, key: SecureRandom.uuid)
    request =
      Net::HTTP.const_get(verb.capitalize).new(
        path,
        { "content-type" => "application/json", "cookie" => @cookies.to_s, "idempotency-key" => key }
      )
    request.body = JSON.generate(body) if body
    Net::HTTP.start(@address.host, @address.port, read_timeout: 10) { |http| http.request(request) }
  end

  def sign_in(email:, password:)
    answer = request(:post, "/auth/login", { email: email, password: password })
    @cookies = answer.get_fields("set-cookie").map { |cookie| cookie.split(";").first }.join("; ")
  end

  def destroy
    stop(:KILL) if @process
    cluster.destroy
    FileUtils.rm_rf(@folder)
  end
end
