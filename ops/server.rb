# frozen_string_literal: true

require "fileutils"
require "securerandom"
require "socket"
require_relative "cluster"
require_relative "keys"

module Verglas
  module Ops
    # The application with the demo gym: starts what does not run yet, and stops what it started.
    class Server
      LOOKS_EVERY_S = 1
      ENDS_WITHIN_S = 3
      # How long requests may go on after a signal.
      LAST_SECONDS = 5
      ROOT = File.expand_path("..", __dir__)

      def initialize(port:, fresh: false, folder: File.join(ROOT, "var"))
        @cluster = Cluster.new(File.join(folder, "postgres"))
        @port = port
        @fresh = fresh
        @folder = folder
      end

      # Blocks until a signal comes. What it writes is for its owner and group alone.
      def run
        File.umask(0o027)
        alone
        @cluster.destroy if @fresh
        started = @cluster.start
        load_demo
        watch if started
        serve
      ensure
        @watching&.kill&.join
        @cluster.stop if started
      end

      private

      # One at a time on a folder: the database that one started would end under another. Held until this process ends.
      def alone
        FileUtils.mkdir_p(@folder)
        @running = File.open(File.join(@folder, "running"), File::RDWR | File::CREAT, 0o640)
        return tell_running("") if free_soon?

        raise Cluster::Failure,
              "it runs already from this folder, #{@running.read.strip}. Stop that one first, or use it."
      end

      # What one that was killed was still thinking about ends within seconds.
      def free_soon?
        (ENDS_WITHIN_S * 10).times do
          return true if @running.flock(File::LOCK_EX | File::LOCK_NB)

          sleep 0.1
        end
        false
      end

      # Whoever starts a second one reads it.
      def tell_running(where)
        @running.rewind
        @running.truncate(0)
        @running.write("process #{Process.pid}#{", at #{where}" unless where.empty?}")
        @running.flush
      end

      def load_demo
        ENV["DATABASE_URL"] = @cluster.database("verglas")
        ENV["SESSION_SECRET"] ||= secret("session_secret", 64)
        ENV["APP_ENV"] ||= "production"
        require_relative "../config/application"
        Keys.new(ENV, folder: @folder).ready(DB)
        Store::Database.migrate(DB)
        require_relative "../demo/loader"
        Demo::Loader.new(DB).load unless DB[:gyms].first
        Store::Upkeep.now(DB)
      end

      def request_log
        FileUtils.mkdir_p(File.join(@folder, "log"))
        Web::RequestLog.open(File.join(@folder, "log", "requests.log"))
      end

      # A database that ends by itself is started again, on the same port, so that the application finds it.
      def watch
        @watching =
          Thread.new do
            loop do
              sleep LOOKS_EVERY_S
              restart unless @cluster.answers?
            end
          end
      end

      def restart
        @cluster.start_again
        warn "verglas: the database had ended and was started again"
      rescue Cluster::Failure => e
        warn "verglas: the database has ended: #{e.message}"
      end

      # Made once and kept, so that a restart signs nobody out and can read what was encrypted.
      def secret(name, bytes)
        file = File.join(@folder, name)
        File.write(file, SecureRandom.hex(bytes), perm: 0o600) unless File.exist?(file)
        File.read(file)
      end

      def serve
        require "puma"
        require "puma/configuration"
        require "puma/launcher"
        port = free_port
        launcher =
          Puma::Launcher.new(configuration(port), log_writer: Web::Below::Log.new(File.open(File::NULL, "w"), $stderr))
        launcher.events.after_booted { say_where(port) }
        launcher.run
      end

      def configuration(port)
        Puma::Configuration.new do |config|
          config.app Web::Stack.build(DB, log: request_log)
          config.bind "tcp://127.0.0.1:#{port}"
          config.threads 1, 5
          config.workers 0
          config.force_shutdown_after LAST_SECONDS
          config.log_requests false
          config.lowlevel_error_handler(&Web::Below::ANSWER)
          config.quiet
        end
      end

      def say_where(port)
        tell_running("http://127.0.0.1:#{port}")
        puts <<~TEXT
          Verglas is ready: http://127.0.0.1:#{port}
          Sign in as #{Demo::Loader::SIGN_IN[:email]} with the password #{Demo::Loader::SIGN_IN[:password]}
          Ctrl-C stops it and the database it started; the data is kept in var/ (bin/start --fresh begins anew).
        TEXT
        $stdout.flush
      end

      # The port asked for, or the next free one.
      def free_port
        (@port..(@port + 50)).find do |port|
          TCPServer.open("127.0.0.1", port, &:close)
          true
        rescue Errno::EADDRINUSE
          false
        end || raise(Cluster::Failure, "no free port from #{@port} to #{@port + 50}: choose another with --port")
      end
    end
  end
end
