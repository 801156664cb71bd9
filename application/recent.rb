# frozen_string_literal: true

module Verglas
  module Application
    # The last few results of a pure computation, by what they were computed from: at the bench the same body is asked
    # for at every step of an adjuster. Shared by all threads.
    class Recent
      def initialize(most)
        @most = most
        @results = {}
        @lock = Mutex.new
      end

      def fetch(key)
        found = @lock.synchronize { @results[key] = @results.delete(key) if @results.key?(key) }
        found || yield.tap { |result| keep(key, result) }
      end

      private

      def keep(key, result)
        @lock.synchronize do
          @results[key] = result
          @results.shift while @results.size > @most
        end
      end
    end
  end
end
