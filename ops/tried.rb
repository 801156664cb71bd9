# frozen_string_literal: true

require "fileutils"
require "socket"

module Verglas
  module Ops
    # What the scripts ops/try_*.rb share: a server's own way of working, tried on a machine that may be changed. They
    # are in no check, for they install packages; what they find is told as it goes.
    class Tried
      # Debian asks this file whether a service may start when its package is installed: 101 is no.
      POLICY = "/usr/sbin/policy-rc.d"
      LEAD = { email: "ingrid@ropewalk.example", password: "a quay of salt stone" }.freeze
      GYM = { gym: "The Rope Walk", locale: "en-GB", length_unit: "cm", name: "Ingrid Tarn" }.freeze

      # The package's own service does not start.
      def self.install(package)
        return if ENV.fetch("PATH").split(":").any? { |folder| File.executable?(File.join(folder, package)) }

        ours = !File.exist?(POLICY)
        File.write(POLICY, "#!/bin/sh\nexit 101\n", perm: 0o755) if ours
        system("apt-get", "update", "-qq", out: File::NULL, exception: true)
        get = %w[apt-get install -y -qq --no-install-recommends]
        system(*get, package, out: File::NULL, exception: true)
      ensure
        FileUtils.rm_f(POLICY) if ours
      end

      def self.free_port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }

      # What begins an empty server, by what its console said.
      def self.beginning(told) = { code: told[/code: (\S+)/, 1], **GYM, **LEAD }

      def initialize
        @found = []
      end

      def found(what, right)
        puts "#{right ? "yes" : "NO "}  #{what}"
        @found << right
      end

      # Ends with a failure unless so many things were found, and all as they should be.
      def finish(count)
        abort "not all is as docs/operating.md says" unless @found.size == count && @found.all?
      end
    end
  end
end
