# frozen_string_literal: true

require "json"
require "rbconfig"

module Verglas
  module Application
    # Photographs, decoded apart from the server: by a process of its own whose memory and seconds are bounded
    # (pictures/decoder.rb). One that dies, or thinks too long, costs its picture and nobody else's; the next picture
    # gets another.
    class Pictures
      # Pixels each way: as the browser scales one before it is sent.
      MOST_PX = 1600
      # How long a picture may take, and wait for those before it (s); how much memory its process may have (bytes);
      # pictures after which it is renewed.
      SECONDS = 4.0
      WAIT_S = 8.0
      MEMORY = 2 * 1024 * 1024 * 1024
      RENEWED_AFTER = 200
      # A progressive photograph has a dozen passes; each costs its decoder a walk over the whole picture.
      MOST_PASSES = 60
      PASS = "\xFF\xDA".b.freeze
      DECODER = File.join(__dir__, "pictures", "decoder.rb")
      # All that the process learns of its surroundings.
      ENVIRONMENT = %w[
        PATH
        HOME
        LANG
        LC_ALL
        TMPDIR
        BUNDLE_GEMFILE
        BUNDLE_PATH
        BUNDLE_APP_CONFIG
        GEM_HOME
        GEM_PATH
      ].freeze

      # What became of a picture: {jpeg:, width_px:, height_px:}. Raises Invalid with path.
      def self.plain(bytes, path:) = (@shared ||= new).plain(bytes, path: path)

      def initialize
        @lane = OwnProcess::Lane.new(1)
      end

      def plain(bytes, path:)
        raise Invalid.new(:not_a_jpeg, path: path) if bytes.scan(PASS).size > MOST_PASSES

        head, jpeg = @lane.within(OwnProcess::Budget.new(WAIT_S)) { asked(bytes) } || [{ code: "not_a_jpeg" }]
        if head[:code]
          raise Invalid.new(
                  head[:code].to_sym,
                  path: path,
                  **(head[:code] == "picture_too_large" ? { most: MOST_PX } : {})
                )
        end

        { jpeg: jpeg, **head.slice(:width_px, :height_px) }
      end

      # The process that decodes at the moment, nil where none has been needed yet.
      def pid = @process&.pid

      private

      # nil where the process died of it, or took too long.
      def asked(bytes)
        renew if @process.nil? || @owner != Process.pid || @told >= RENEWED_AFTER
        @told += 1
        deadline = now + SECONDS
        write([bytes.bytesize].pack("N") + bytes, deadline)
        head = JSON.parse(read(read(4, deadline).unpack1("N"), deadline), symbolize_names: true)
        [head, (read(head[:bytes], deadline) if head[:bytes])]
      rescue EOFError, Errno::EPIPE, TooSlow
        drop
        nil
      end

      # Told to nobody: the picture is refused.
      class TooSlow < StandardError
      end

      Decoder = Struct.new(:pid, :input, :output)
      private_constant :TooSlow, :Decoder

      # The first picture waits for it to come up. What it says in dying may hold some of the picture: nobody keeps it.
      def renew
        drop if @process && @owner == Process.pid
        theirs, input = IO.pipe(binmode: true)
        output, ours = IO.pipe(binmode: true)
        bounds = { unsetenv_others: true, close_others: true, chdir: ROOT, rlimit_as: MEMORY, rlimit_core: 0 }
        pid =
          Process.spawn(
            ENV.slice(*ENVIRONMENT),
            RbConfig.ruby,
            "-rbundler/setup",
            DECODER,
            MOST_PX.to_s,
            in: theirs,
            out: ours,
            err: File::NULL,
            **bounds
          )
        [theirs, ours].each(&:close)
        @process = Decoder.new(pid, input, output)
        @owner = Process.pid
        @told = 0
      end

      def drop
        [@process.input, @process.output].each(&:close)
        Process.kill(:KILL, @process.pid)
        Process.wait(@process.pid)
      rescue Errno::ESRCH, Errno::ECHILD
        nil
      ensure
        @process = nil
      end

      def write(bytes, deadline)
        until bytes.empty?
          raise TooSlow unless @process.input.wait_writable([deadline - now, 0].max)

          bytes = bytes.byteslice(@process.input.write_nonblock(bytes)..)
        end
      end

      def read(length, deadline)
        text = "".b
        while text.bytesize < length
          raise TooSlow unless @process.output.wait_readable([deadline - now, 0].max)

          text << @process.output.read_nonblock(length - text.bytesize)
        end
        text
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end
  end
end
