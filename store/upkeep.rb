# frozen_string_literal: true

module Verglas
  module Store
    # What is forgotten when its time is over, while the server runs: kept answers and counts. Done by whoever writes,
    # once in a while, after the write stands.
    module Upkeep
      EVERY_S = 10 * 60
      LOCK = Mutex.new

      module_function

      def when_due(db) = due? && now(db)

      def now(db)
        Writes.sweep(db)
        Counters.sweep(db)
        Tables::Imports.sweep(db)
        StaffLinks.sweep(db)
        Tables::Movements.sweep(db)
      end

      # True once in EVERY_S.
      def due?
        LOCK.synchronize do
          time = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          next false if @next_at && time < @next_at

          @next_at = time + EVERY_S
          true
        end
      end
      private_class_method :due?
    end
  end
end
