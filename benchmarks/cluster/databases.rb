# frozen_string_literal: true

require "fileutils"
require "open3"
require "securerandom"
require "tmpdir"

module Cluster
  # A primary and a synchronous standby of PostgreSQL, and a PgBouncer before whichever is written to, in a folder of
  # their own.
  class Databases
    ROLE = "fitting"
    STANDBY = "second"
    BIN = Dir["/usr/lib/postgresql/*/bin"].max_by { |folder| folder[/\d+/].to_i }
    INI = File.expand_path("../../ops/several/pgbouncer.ini", __dir__)
    # What each connection is set to, where a pooler stands between: docs/operating.md
    SET = { "timezone" => "UTC", "statement_timeout" => "10s", "lock_timeout" => "3s" }.freeze

    def initialize(free_port)
      @folder = Dir.mktmpdir("verglas-cluster").tap { |made| FileUtils.chown("postgres", "postgres", made) }
      @secret = SecureRandom.hex(16)
      @first, @second, @first_pool, @second_pool = Array.new(4) { free_port.call }
      @poolers = {}
    end

    # As the application is told: both poolers, of which that is used whose database can be written to.
    def url
      hosts = [@first_pool, @second_pool].map { |port| "127.0.0.1:#{port}" }.join(",")
      "postgres://#{ROLE}:#{@secret}@#{hosts}/fitting?target_session_attrs=read-write"
    end

    def start
      password = File.join(@folder, "password")
      File.write(password, @secret)
      FileUtils.chown("postgres", "postgres", password)
      run("initdb", "-D", at("first"), "--pwfile=#{password}", "--auth=scram-sha-256", "-E", "UTF8", "--locale=C.UTF-8")
      launch("first", @first)
      make_database
      follow
      pool(:first, @first_pool, @first)
    end

    def pooler(name) = @poolers.fetch(name)

    # The first host of the databases dies, PostgreSQL and its pooler; nobody starts either again, so it is fenced.
    def lose_primary
      Process.kill("KILL", File.read(File.join(at("first"), "postmaster.pid")).lines.first.to_i)
      Process.kill("KILL", pooler(:first))
    end

    # One copy is left: nobody waits for another any more. Its pooler begins now: one that began before would tell
    # whoever connects that its database is only to be read, as it was then.
    def promote
      run("pg_ctl", "-D", at("second"), "promote", "-w")
      sql(@second, "ALTER SYSTEM SET synchronous_standby_names = ''")
      sql(@second, "SELECT pg_reload_conf()")
      pool(:second, @second_pool, @second)
    end

    # Of the database that is written to now.
    def asked(statement) = sql(@second, statement, database: "fitting").strip

    def start_pooler(name) = @poolers[name] = spawned("pgbouncer", File.join(@folder, "#{name}.ini"))

    def stop
      @poolers.each_value { |pid| kill("KILL", pid) }
      %w[first second].each do |name|
        file = File.join(at(name), "postmaster.pid")
        kill("QUIT", File.read(file).lines.first.to_i) if File.exist?(file)
      end
      sleep(1)
      FileUtils.rm_rf(@folder)
    end

    private

    def at(name) = File.join(@folder, name)
    def kill(signal, pid)
      Process.kill(signal, pid)
    rescue Errno::ESRCH
      nil
    end

    # In its own process, so that what is killed is it.
    def as_postgres(*words)
      %W[setpriv --reuid=postgres --regid=postgres --init-groups env PGPASSWORD=#{@secret}] + words
    end

    def run(program, *words)
      system(*as_postgres(File.join(BIN, program), *words), chdir: "/", out: File::NULL, exception: true)
    end

    def launch(name, port)
      options = "-c listen_addresses=127.0.0.1 -c port=#{port} -c unix_socket_directories="
      run("pg_ctl", "-D", at(name), "-l", at("#{name}.log"), "-w", "-o", options, "start")
    end

    def sql(port, statement, database: "postgres")
      psql = as_postgres("psql", "-Atq", "-h", "127.0.0.1", "-p", port.to_s, "-U", "postgres", database)
      said, ended = Open3.capture2(*psql, stdin_data: statement, chdir: "/")
      ended.success? ? said : raise("refused: #{statement}")
    end

    def make_database
      sql(@first, "CREATE ROLE #{ROLE} LOGIN PASSWORD '#{@secret}'")
      SET.each { |name, value| sql(@first, "ALTER ROLE #{ROLE} SET #{name} = '#{value}'") }
      sql(@first, "CREATE DATABASE fitting OWNER #{ROLE}")
      audit = File.expand_path("../../store/audit.sql", __dir__)
      address = "host=127.0.0.1 port=#{@first} user=postgres dbname=fitting"
      psql = as_postgres("psql", "-q", "-v", "app=#{ROLE}", address)
      IO.popen(psql, "w", chdir: "/") { |running| running.write(File.read(audit)) }
    end

    # What is answered stands in both, before it is answered.
    def follow
      from = "host=127.0.0.1 port=#{@first} user=postgres password=#{@secret} application_name=#{STANDBY}"
      run("pg_basebackup", "-D", at("second"), "-d", from, "-R", "-c", "fast")
      launch("second", @second)
      sql(@first, "ALTER SYSTEM SET synchronous_standby_names = '#{STANDBY}'")
      sql(@first, "SELECT pg_reload_conf()")
      sleep(0.2) until sql(@first, "SELECT sync_state FROM pg_stat_replication").strip == "sync"
    end

    def pool(name, port, database)
      users = at("#{name}.users")
      File.write(users, "\"#{ROLE}\" \"#{@secret}\"\n")
      ini =
        File
          .read(INI)
          .sub("port=5432", "port=#{database}")
          .sub("listen_port = 6432", "listen_port = #{port}")
          .sub("/etc/pgbouncer/userlist.txt", users)
      File.write(at("#{name}.ini"), ini)
      start_pooler(name)
    end

    def spawned(*words)
      Process.spawn(*as_postgres(*words), :chdir => "/", %i[out err] => at("poolers.log"))
    end
  end
end
