# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A session that was planned, runs or is done: its plan with what was done of it, the block that is worked on, the
      # pace against the plan.
      module Session
        module_function

        # session: Questions::Session.
        def of(session)
          running = session.running
          row = running.row
          plan = SessionPlan.of(session.asked)
          {
            **row.slice(:id, :state, :version),
            begun_at: Told.time(row[:begun_at]),
            ended_at: Told.time(row[:ended_at]),
            at: Told.time(running.now),
            **plan,
            blocks:
              running.planned.blocks.zip(plan[:blocks]).map { |block, told| told.merge(progress(running, block)) },
            current: running.current&.keys,
            elapsed_s: running.elapsed_s,
            ahead_s: running.ahead_s,
            stopped: running.stopped?,
            outdated: row[:state] == "running" && running.outdated?,
            left_out: (row[:state] == "done" ? row[:left_out] : running.left_out).map { |one| left(one) }
          }
        end

        # done: sets that stand, by member; left: how many are still to be done.
        def progress(running, block)
          {
            done:
              block.members.map do |member|
                running
                  .done
                  .fetch(member.key, [])
                  .map do |set|
                    {
                      id: set[:id],
                      load_kg: set[:load_kg]&.to_f,
                      repetitions: set[:repetitions],
                      at: Told.time(set[:done_at])
                    }
                  end
              end,
            left: block.members.map { |member| running.left(block, member) },
            closed: block.members.map { |member| running.closed.key?(member.key) }
          }
        end

        def left(one)
          {
            key: one["key"],
            name: one["name"],
            why: one["why"],
            says: Formats::Words.say("sessions.left.#{one["why"]}")
          }
        end

        # One of a client's, as a line.
        def past(row)
          {
            **row.slice(:id, :state, :minutes),
            begun_at: Told.time(row[:begun_at]),
            ended_at: Told.time(row[:ended_at]),
            done: row[:blocks].to_a.sum { |one| one["keys"].size },
            left_out: row[:left_out].map { |one| one["name"] }
          }
        end

        # A line of the list of those that go on.
        def summary(row)
          {
            **row.slice(:id, :state, :minutes),
            client: {
              id: row[:client_id],
              name: row[:client_name]
            },
            begun_at: Told.time(row[:begun_at]),
            updated_at: Told.time(row[:updated_at])
          }
        end
        private_class_method :progress, :left
      end
    end
  end
end
