# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # A client's session asked for, begun, changed and ended. What is asked is refused here where it cannot be.
      module Making
        module_function

        # given: as Wishes.read takes it. Planned.
        def plan(gym, client, given, now: Time.now)
          wishes = Wishes.read(given)
          known = known(gym, client, wishes)
          Planned.new(
            known,
            wishes,
            Today.of(gym, client, now: now),
            day: day(gym, client, wishes),
            without: closed(gym, client, known, now)
          )
        end

        # row: of a session. Running.
        def running(gym, row, now: Time.now)
          client = gym.clients.find(row[:client_id])
          wishes = Wishes.of_row(row)
          Running.new(
            gym,
            row,
            known(gym, client, wishes),
            Today.of(gym, client, now: now),
            programme: day(gym, client, wishes, strict: false)
          )
        end

        # Keeps a plan; begins: whether it runs from now on. The row. Raises Invalid where nothing fits, or another of
        # this client's sessions runs.
        def keep(gym, client, given, begins:, by:)
          gym.clients.hold_to_write(client[:id])
          make_way(gym, client[:id], by) if begins
          planned = plan(gym, client, given)
          check(planned)
          gym.sessions.add(
            client[:id],
            state: begins ? "running" : "planned",
            by: by,
            blocks: rows(planned.made),
            **planned.wishes.columns
          )
        end

        # The rest planned anew under these wishes.
        def change(gym, row, given, version:, by:)
          raise Invalid, :session_done if row[:state] == "done"

          running = running(gym, row)
          wishes = Wishes.read({ **given, **row.slice(:programme_id, :day) })
          begun, rest = running.anew(wishes)
          check(rest) if begun.empty? && row[:state] == "planned"
          gym.sessions.change(row[:id], version: version, by: by, blocks: rows([*begun, *rest.made]), **wishes.columns)
        end

        # One that was planned before runs from now on, as it was planned.
        def begin(gym, row, version:, by:)
          raise Invalid, :session_done if row[:state] == "done"
          make_way(gym, row[:client_id], by)
          gym.sessions.begin(row[:id], version: version, by: by)
        end

        # One of an earlier day that nobody ended is ended; one of today goes on, and no other begins.
        def make_way(gym, client_id, by)
          row = gym.sessions.running(client_id) or return
          raise Invalid.new(:session_runs, path: "/begins") if row[:begun_at] > Time.now - Closed::DAY_S

          finish(gym, row, version: row[:version], by: by)
        end

        # What was not done is kept with why.
        def finish(gym, row, version:, by:)
          raise Invalid, :session_done if row[:state] == "done"
          raise Invalid, :session_not_begun if row[:state] == "planned"

          gym.sessions.end(row[:id], version: version, by: by, left_out: running(gym, row).left_out)
        end

        def known(gym, client, wishes) = Possibilities.new(gym, client, aim: wishes.aim)

        # {key => why} of what the day has closed.
        def closed(gym, client, known, now)
          Closed.new(gym, [client[:id]], since: now - Closed::DAY_S).of(client[:id], known)
        end

        # The day of the programme that is asked for, days over again; nil for none. strict: whether one that is no more
        # is refused.
        def day(gym, client, wishes, strict: true)
          return unless wishes.programme_id

          row = gym.programmes.find(wishes.programme_id)
          unless row && [nil, client[:id]].include?(row[:client_id])
            return unless strict

            raise Invalid.new(:not_allowed, path: "/programme_id")
          end

          days = row[:days].to_a
          days[wishes.day.to_i % days.size]
        end

        def check(planned)
          if planned.missing_s
            raise Invalid.new(:nothing_kept_fits, path: "/minutes", minutes: minutes(planned.missing_s))
          end
          raise Invalid.new(:nothing_to_do, path: "/minutes") if planned.blocks.empty?
        end

        def rows(made) = made.map { |keys, sets| { "keys" => keys, "sets" => sets } }
        def minutes(seconds) = (seconds / 60.0).ceil
        private_class_method :make_way, :known, :closed, :day, :check, :rows, :minutes
      end
    end
  end
end
