# frozen_string_literal: true

module Verglas
  module Store
    # Erases somebody: everything that is theirs goes, in one transaction. What the audit trail tells stays, for it
    # holds ids alone.
    class Erasure
      def initialize(gym)
        @gym = gym
      end

      # row: the client's, as the writer saw it; keep_marks: whether the marks of their accepted fittings stay with the
      # machines, without a person; gone: [status, body] that a request about them gets which is sent again. Raises
      # Stale where somebody changed the client since.
      def call(row, version:, keep_marks:, gone:)
        @gym.clients.hold_to_write(row[:id])
        raise Stale, @gym.clients.find(row[:id]) unless @gym.clients.dataset.where(id: row[:id], version: version).any?

        leave_marks(row[:id]) if keep_marks
        leave_queues(row[:id])
        forget_answers(row[:id], *gone)
        forget_files(row)
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

      # Answers are kept for a day so that nothing is done twice: those that tell of them, or of anything that was
      # theirs, tell nothing any more.
      def forget_answers(id, status, body)
        theirs = ids(id)
        naming(theirs).select(:account_id, :key).each do |row|
          @gym.db[:writes].where(row).update(status: status, body: Secrets.lock(body, :answer), about: Writes.ids([]))
        end
      end

      # The client's, and of their fittings, visits and sets.
      def ids(id)
        visits = @gym.visits.dataset.where(client_id: id).select_map(:id)
        [id, *@gym.fittings.dataset.where(client_id: id).select_map(:id), *visits, *@gym.db[:sets].where(visit_id: visits).select_map(:id)]
      end

      # What was kept before ids stood beside it is opened.
      def naming(ids)
        writes = @gym.db[:writes].where(account_id: @gym.db[:accounts].where(gym_id: @gym.id).select(:id)).exclude(body: nil)
        older = writes.where(about: nil).select(:account_id, :key, :body).all.select { |row| Secrets.open(row[:body], :answer).then { |text| ids.any? { |id| text.include?(id) } } }
        writes.where(Sequel.lit("about && ?", Writes.ids(ids))).or(%i[account_id key] => older.map { |row| row.values_at(:account_id, :key) })
      end

      # A file on its way that names them would bring them back: it is let go, whole, and has to be sent again.
      def forget_files(row) = @gym.imports.naming([row[:id], row[:name]]).each { |id| @gym.imports.delete(id) }
    end
  end
end
