# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # What members of one gym's staff practised, and what they were given to practise. Nothing here is a client's.
      class Practice
        # Of somebody's own, the latest; of tasks that stand.
        LATEST = 60
        MOST_TASKS = 20

        def initialize(gym)
          @gym = gym
        end

        def runs = @gym.db[:practice_runs].where(Sequel[:practice_runs][:gym_id] => @gym.id)
        def tasks = @gym.db[:practice_tasks].where(gym_id: @gym.id)
        def looks = @gym.db[:practice_looks].where(gym_id: @gym.id)

        def run(id, account_id) = runs.first(id: id, account_id: account_id)
        # The same, until the transaction ends nobody else's.
        def hold(id, account_id) = runs.where(id: id, account_id: account_id).for_update.first
        def latest(account_id) = runs.where(account_id: account_id).reverse(:begun_at, :id).limit(LATEST).all

        # fields: {account_id:, task_id:, number:, machine:, seed:, level:}. Of a task's number the one that was begun.
        def begin(machine:, **fields)
          begun = fields[:task_id] && runs.first(fields.slice(:account_id, :task_id, :number))
          begun || runs.returning.insert(gym_id: @gym.id, machine: Sequel.pg_json(machine), **fields).first
        end

        # result: {total:, passed:} once it is over.
        def go_on(id, actions, result: {})
          ended = result.empty? ? {} : { ended_at: Sequel::CURRENT_TIMESTAMP }
          runs.where(id: id).returning.update(actions: Sequel.pg_json(actions), **result, **ended).first
        end

        def all_tasks = tasks.reverse(:made_at, :id).limit(MOST_TASKS).all
        def task(id) = tasks.first(id: id)

        def give(name:, exercises:, by:)
          raise Invalid.new(:practice_full, most: MOST_TASKS) if tasks.count >= MOST_TASKS

          ConstraintErrors.translate do
            tasks.returning.insert(gym_id: @gym.id, name: name, exercises: Sequel.pg_json(exercises), made_by: by).first
          end
        end

        def take_out(id) = tasks.where(id: id).delete

        # {id:, name:, role:, version:, done:, passed:, mean:, looked_by:, looked_at:} of everybody who practised.
        def progress
          done =
            runs
              .exclude(ended_at: nil)
              .group(:account_id)
              .select(
                :account_id,
                Sequel.function(:count).*.as(:done),
                Sequel.function(:count).*.filter(:passed).as(:passed),
                Sequel.function(:avg, :total).as(:mean)
              )
          accounts = Sequel[:accounts]
          @gym
            .colleagues
            .dataset
            .join(done.as(:practised), account_id: accounts[:id])
            .left_join(:practice_looks, account_id: accounts[:id])
            .left_join(Sequel[:accounts].as(:looking), id: Sequel[:practice_looks][:looked_by])
            .order(accounts[:name])
            .select(*%i[id name role version].map { |name| accounts[name] }, :done, :passed, :mean, :looked_at)
            .select_append(Sequel[:looking][:name].as(:looked_by))
            .all
        end

        def look(account_id, by:)
          row = { account_id: account_id, gym_id: @gym.id, looked_by: by }
          again = { looked_by: by, looked_at: Sequel::CURRENT_TIMESTAMP }
          @gym.db[:practice_looks].insert_conflict(target: :account_id, update: again).insert(row)
        end
      end
    end
  end
end
