# frozen_string_literal: true

module Verglas
  module Web
    # What nobody waits for, and whose time may not be seen from outside: done one after the other by a thread of its
    # own. What comes while too much waits is let go.
    class Later
      MOST = 100

      def self.shared = @shared ||= new

      def initialize
        @waiting = SizedQueue.new(MOST)
        @begins = Mutex.new
      end

      def call(&work)
        @begins.synchronize { @thread = Thread.new { go_on } unless @thread&.alive? }
        @waiting.push(work, true)
      rescue ThreadError
        warn("something was let go: #{MOST} wait already")
      end

      private

      def go_on
        loop do
          @waiting.pop.call
        rescue StandardError => e
          warn("#{e.class} afterwards, at #{e.backtrace.first(4).join(" < ")}")
        end
      end
    end
  end
end
