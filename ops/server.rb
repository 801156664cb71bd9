# frozen_string_literal: true

require "fileutils"
require "securerandom"
require "socket"
require_relative "cluster"
require_relative "keys"

module Verglas
  module Ops
    # The application on this machine: starts what does not run yet, and stops what it started.
    class Server
      LOOKS_EVERY_S = 1
      ENDS_WITHIN_S = 3
      # How long requests may go on after a signal.
      LAST_SECONDS = 5
      ROOT = File.expand_path("..", __dir__)

      # scenario: what the database holds when people come, and what its owner is told (DemoGym, OwnGym); bind: the
      # address to listen at; fresh: everything of before is forgotten; url: of a database that is somebody else's to
      # run, nil for one in the folder; exact: no other port than this one.
      def initialize(
        scenario:,
        port:,
        fresh: false,
        folder: File.join(ROOT, "var"),
        bind: "127.0.0.1",
        url: nil,
        exact: false
      )
        @scenario = scenario
        @url = url
        @bind = bind
        @port = port
        @fresh = fresh
        @exact = exact
        @folder = folder
      end

      # Blocks until a signal comes. What it writes is for its owner and group alone.
      def run
        File.umask(0o027)
        alone
        started = @url ? nil : database
        load
        watch if started
        serve
      ensure
        @watching&.kill&.join
        @cluster.stop if started
      end

      private

      # Answers whether it was started here.
      def database
        @cluster = Cluster.new(File.join(@folder, "postgres"))
        @cluster.destroy if @fresh
        @cluster.start
      end

      # One at a time on a folder: the database that one started would end under another. Held until this process ends.
      def alone
        Cluster.home(@folder)
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

      def load
        ENV["DATABASE_URL"] = @url || @cluster.database("verglas")
        ENV["SESSION_SECRET"] ||= secret("session_secret", 64)
        ENV["APP_ENV"] ||= "production"
        require_relative "../config/application"
        look_at_role if DB.opts[:pooled]
        Keys.new(ENV, folder: @folder).ready(DB)
        bring_up_to_date
        @scenario.prepare(DB)
        Store::Upkeep.now(DB)
      end

      # Behind a pooler nobody sets a connection: the role is.
      def look_at_role
        unset = Store::Database.unset(DB)
        return if unset.empty?

        raise Cluster::Failure,
              "DATABASE_POOLED wants the role itself to be set (docs/operating.md): #{unset.join(", ")}"
      end

      def bring_up_to_date
        if Store::Database.newer?(DB)
          raise Cluster::Failure,
                "a newer version of Verglas made this database what it is: start that one, or restore a backup"
        end
        @scenario.before_change(DB) if DB.table_exists?(:schema_info) && !Store::Database.current?(DB)
        Store::Database.migrate(DB)
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
          config.bind "tcp://#{@bind}:#{port}"
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
        puts "Verglas is ready: http://127.0.0.1:#{port}", @scenario.told
        $stdout.flush
      end

      # The port asked for, or the next free one.
      def free_port
        last = @exact ? @port : @port + 50
        (@port..last).find { |port| free?(port) } ||
          raise(Cluster::Failure, "no free port from #{@port} to #{last}: choose another")
      end

      def free?(port)
        TCPServer.open(@bind, port, &:close)
        true
      rescue Errno::EADDRINUSE
        false
      end
    end
  end
end
