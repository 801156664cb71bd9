# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Sessions of one gym's clients: what somebody does on a day in the time they have. wishes: what was asked of the
      # plan; blocks: the plan as it was made; left_out: [{exercise's key, why}] of what was planned and not done.
      class Sessions
        include Versioned

        STALE = :session
        JSON = %i[wishes blocks].freeze
        PLAIN = %i[minutes aim programme_id day].freeze
        # Of one that was never ended: it is told among those that go on for so long.
        GOES_ON_S = 12 * 3600

        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:sessions].where(Sequel[:sessions][:gym_id] => @gym.id)
        def find(id) = opened(dataset.first(id: id))

        # The one that runs; nil where none does.
        def running(client_id) = opened(dataset.first(client_id: client_id, state: "running"))

        # A client's latest, newest first.
        def latest(client_id, most:)
          Sealed.open_all(
            :sessions,
            dataset.where(client_id: client_id).order(Sequel.desc(:created_at)).limit(most).all
          )
        end

        # Those of today that are planned or run, newest first, with the client's name.
        def going_on(since: Time.now - GOES_ON_S)
          rows =
            dataset
              .where(state: %w[planned running])
              .where do
                Sequel.function(:coalesce, Sequel[:sessions][:begun_at], Sequel[:sessions][:updated_at]) >= since
              end
              .join(:clients, id: :client_id)
              .order(Sequel.desc(Sequel[:sessions][:updated_at]))
              .select_all(:sessions)
              .select_append(Sequel[:clients][:name].as(:client_name))
              .limit(50)
          Sealed.open_all(:sessions, rows.all)
        end

        # given: {**PLAIN, wishes:, blocks:, state:}
        def add(client_id, state:, by:, **given)
          ConstraintErrors.translate do
            dataset
              .returning
              .insert(
                gym_id: @gym.id,
                client_id: client_id,
                state: state,
                begun_at: (Sequel::CURRENT_TIMESTAMP if state == "running"),
                created_by: by,
                updated_by: by,
                **columns(given)
              )
              .first
              .then { |row| opened(row) }
          end
        end

        # Over the version which the writer saw; raises Stale with what stands there otherwise. A session that is done
        # is not changed any more.
        def change(id, version:, by:, **given)
          opened(revised(id, version: version, by: by, rows: dataset.exclude(state: "done"), **columns(given)))
        end

        # The time at which it begins, and ends, is the database's.
        def begin(id, version:, by:)
          change(id, version: version, by: by, state: "running", begun_at: Sequel::CURRENT_TIMESTAMP)
        end

        def end(id, version:, by:, left_out:)
          change(id, version: version, by: by, state: "done", ended_at: Sequel::CURRENT_TIMESTAMP, left_out: left_out)
        end

        private

        def columns(given)
          json = given.slice(*JSON).transform_values { |value| Sequel.pg_json(value) }
          { **given.except(*JSON, :left_out), **json, **Sealed.columns(:sessions, given.slice(:left_out)) }
        end

        def opened(row) = row && Sealed.open(:sessions, row)
      end
    end
  end
end
