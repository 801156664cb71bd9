# frozen_string_literal: true

module Verglas
  module Application
    # Results of long, pure computations, kept by what they were computed from (Fingerprint): one object for all of
    # them, shared by all threads, emptied by one call. Nothing of a row is in a key.
    class Kept
      # The last so many of each kind.
      MOST = {
        advices: 1000,
        bodies: 500,
        checked: 500,
        described: 200,
        factors: 50,
        machine_errors: 100,
        moved: 1000,
        others: 2000,
        places: 1000,
        possibilities: 300,
        predictions: 300,
        rankings: 300,
        serving: 6000,
        set_up_times: 20,
        taped: 1000,
        times: 20,
        trials: 200,
        untaped: 50
      }.freeze

      # Of this process.
      def self.shared = @shared ||= new

      def initialize
        @lock = Mutex.new
        @results = MOST.transform_values { {} }
      end

      # What was computed of that kind from this key; else what the block computes. nil is computed anew.
      def of(kind, key)
        results = @results.fetch(kind)
        found = @lock.synchronize { results[key] = results.delete(key) if results.key?(key) }
        found || yield.tap { |result| keep(results, MOST.fetch(kind), key, result) }
      end

      def empty = @lock.synchronize { @results.each_value(&:clear) }

      private

      def keep(results, most, key, result)
        @lock.synchronize do
          results[key] = result
          results.shift while results.size > most
        end
      end
    end
  end
end
