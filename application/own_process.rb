# frozen_string_literal: true

module Verglas
  module Application
    # A lane of their own for long computations (who fits, whose advice changes, a length on trial): each in a process
    # of its own, so that nobody at the bench waits for it, at most WIDTH at a time, with a budget of time. What is
    # computed apart knows the rows it was given and no database; its answer comes back whole as JSON (names are symbols
    # again, other symbols texts), or not at all.
    module OwnProcess
      WIDTH = 2
      # How long a question waits for its turn; how long it may think; after how much more it is ended.
      WAIT_S = 4
      BUDGET_S = 3.0
      GRACE_S = 3.0

      # Raised where somebody asks the database from there.
      class NoDatabase < StandardError
      end

      # Raised where it failed there, which the log has told already.
      class Failed < StandardError
      end

      # A time that passes.
      class Budget
        def initialize(seconds)
          @ends_at = now + seconds
        end

        def left = [@ends_at - now, 0].max
        def over? = left.zero?

        private

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end

      # Who is in the lane: so many at once.
      class Lane
        def initialize(width)
          @free = width
          @lock = Mutex.new
          @freed = ConditionVariable.new
        end

        # Raises Invalid where no place gets free in time.
        def within(wait)
          enter(wait)
          begin
            yield
          ensure
            leave
          end
        end

        private

        def enter(wait)
          @lock.synchronize do
            @freed.wait(@lock, wait.left) while @free.zero? && !wait.over?
            raise Invalid, :busy if @free.zero?

            @free -= 1
          end
        end

        def leave
          @lock.synchronize do
            @free += 1
            @freed.signal
          end
        end
      end

      LANE = Lane.new(WIDTH)

      module_function

      # What the block answers. It is given a Budget, at whose end it answers with what it has.
      def compute(budget_s: BUDGET_S, &question)
        LANE.within(Budget.new(WAIT_S)) { heard(*asked(question, budget_s), budget_s + GRACE_S) }
      end

      # What the block says of each, as far as the time allows.
      def in_time(list, budget, &) = list.lazy.take_while { !budget.over? }.map(&).to_a

      # A process that thinks, and where it can be heard.
      def asked(question, budget_s)
        reader, writer = IO.pipe(binmode: true)
        child =
          Process.fork do
            reader.close
            think(question, Budget.new(budget_s), writer)
          ensure
            exit!(0) # nothing that was to be done at this process's end is the child's to do, however it ends
          end
        writer.close
        [child, reader]
      end

      def think(question, budget, writer)
        %w[TERM INT].each { |signal| trap(signal, "SYSTEM_DEFAULT") }
        DB.define_singleton_method(:synchronize) { |*| raise NoDatabase } if Verglas.const_defined?(:DB)
        writer.write(JSON.generate(said(question, budget)))
        writer.close
      end

      def said(question, budget)
        [:answer, question.call(budget)]
      rescue Invalid => e
        [:refused, e.code, e.path, e.params]
      rescue StandardError, SystemStackError, NoMemoryError => e
        warn("#{e.class} apart, at #{e.backtrace.first(4).join(" < ")}")
        [:fault]
      end

      def heard(child, reader, within_s)
        text = read(reader, Budget.new(within_s))
        kind, *what = text.empty? ? ["refused", "busy", "", {}] : JSON.parse(text, symbolize_names: true)
        raise Invalid.new(what[0].to_sym, path: what[1], **what[2]) if kind == "refused"
        raise Failed if kind == "fault"

        what.first
      ensure
        reader.close
        finish(child)
      end

      # All of it, or nothing when the time is over first.
      def read(reader, wait)
        text = +""
        text << reader.readpartial(65_536) while reader.wait_readable(wait.left)
        ""
      rescue EOFError
        text
      end

      def finish(child)
        Process.kill(:KILL, child)
      rescue Errno::ESRCH
        nil
      ensure
        Process.wait(child)
      end
      private_class_method :asked, :think, :said, :heard, :read, :finish
    end
  end
end
