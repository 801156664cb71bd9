# frozen_string_literal: true

module Verglas
  module Store
    # Erases somebody: everything that is theirs goes, in one transaction. What the audit trail tells stays, for it holds ids alone.
    class Erasure
      def initialize(gym)
        @gym = gym
      end

      # row: the client's, as the writer saw it; keep_marks: whether the marks of their accepted fittings stay with the machines, without a
      # person; gone: [status, body] that a request about them gets which is sent again. Raises Stale where somebody changed the client since.
      def call(row, version:, keep_marks:, gone:)
        @gym.clients.hold_to_write(row[:id])
        raise Stale, @gym.clients.find(row[:id]) unless @gym.clients.dataset.where(id: row[:id], version: version).any?

        leave_marks(row[:id]) if keep_marks
        leave_queues(row[:id])
        forget_answers(row[:id], *gone)
        @gym.visits.dataset.where(client_id: row[:id]).delete
        @gym.fittings.dataset.where(client_id: row[:id]).delete
        @gym.clients.dataset.where(id: row[:id]).delete
      end

      private

      # As on their card, each with the month alone.
      def leave_marks(id)
        latest = @gym.fittings.dataset.where(client_id: id, state: "accepted").distinct(:machine_id, :exercise).order(:machine_id, :exercise, Sequel.desc(:accepted_at))
        rows = latest.select(:gym_id, :machine_id, :exercise, :marks, :grade, Sequel.cast(Sequel.function(:date_trunc, "month", :accepted_at), :date))
        @gym.db[:nameless_fittings].insert(%i[gym_id machine_id exercise marks grade month], rows)
      end

      def leave_queues(id)
        queues = @gym.db[:machine_queues].where(gym_id: @gym.id)
        queues.where(Sequel.lit("clients::jsonb @> ?::jsonb", JSON.generate([id]))).select(:machine_id, :exercise, :clients).all.each do |row|
          queues.where(row.slice(:machine_id, :exercise)).update(clients: Sequel.pg_json(row[:clients].to_a - [id]), version: Sequel[:version] + 1)
        end
      end

      # Answers are kept for a day so that nothing is done twice: those that tell of them tell nothing any more.
      def forget_answers(id, status, body)
        writes = @gym.db[:writes].where(account_id: @gym.db[:accounts].where(gym_id: @gym.id).select(:id))
        writes.exclude(body: nil).select(:account_id, :key, :body).each do |row|
          next unless Secrets.open(row[:body], :answer).include?(id)

          writes.where(row.slice(:account_id, :key)).update(status: status, body: Secrets.lock(body, :answer))
        end
      end
    end
  end
end
