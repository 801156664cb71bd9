# frozen_string_literal: true

require "json"

module Verglas
  module Store
    # Erases people: everything that is theirs goes, in one transaction. What the audit trail tells stays, for it
    # holds ids alone.
    class Erasure
      def initialize(gym)
        @gym = gym
      end

      # What an answer that was kept for a day says of them.
      GONE = [404, JSON.generate({ code: "not_found" })].freeze
      private_constant :GONE

      # Whoever was erased and is here again, because the database is of a time before: goes again. Answers how many.
      # environment: where it is written who was (Erased).
      def self.repeat(db, environment = ENV)
        db[:gyms].select_map(:id).sum { |id| new(Gym.new(db, id)).repeat(environment) }
      end

      # The same, of one gym. What was joined into another record then stands by itself first: it alone was erased.
      def repeat(environment)
        back = Erased.among(@gym.db[:clients].where(gym_id: @gym.id).select_map(:id), environment)
        return 0 if back.empty?

        @gym.db.transaction do
          @gym.joins.apart_to_erase(back)
          call(back.filter_map { |id| @gym.clients.find(id) }, keep_marks: false, gone: GONE)
          @gym.db[:clients].where(id: back).delete
        end
        back.size
      end

      # rows: the clients', each in the version that the writer saw; keep_marks: whether the marks of their accepted
      # fittings stay with the machines, without a person; gone: [status, body] that a request about them gets which is
      # sent again. Answers the ids of the files on their way that were let go. Raises Stale where somebody changed a
      # client since.
      def call(rows, keep_marks:, gone:)
        rows.sort_by { |row| row[:id] }.each { |row| hold(row) }
        # Records that were joined into theirs are theirs, and go with them.
        all = rows + @gym.joins.under(rows.map { |row| row[:id] })
        forget_answers(all.flat_map { |row| ids(row[:id]) }, *gone)
        rows.each { |row| erase(row[:id], keep_marks) }
        forget_files(all).tap { Erased.note(all.map { |row| row[:id] }) }
      end

      private

      def hold(row)
        @gym.clients.hold_to_write(row[:id])
        raise Stale, @gym.clients.find(row[:id]) unless @gym.clients.dataset.where(row.slice(:id, :version)).any?
      end

      def erase(id, keep_marks)
        leave_marks(id) if keep_marks
        @gym.queues.leave(id)
        @gym.circles.leave(id)
        @gym.visits.dataset.where(client_id: id).delete
        @gym.fittings.dataset.where(client_id: id).delete
        @gym.clients.dataset.where(id: id).delete
      end

      # As on their card, each with the month alone.
      def leave_marks(id)
        latest =
          @gym
            .fittings
            .dataset
            .where(client_id: id, state: "accepted")
            .distinct(:machine_id, :exercise)
            .order(:machine_id, :exercise, Sequel.desc(:accepted_at))
        rows =
          latest.select(
            :gym_id,
            :machine_id,
            :exercise,
            :marks,
            :grade,
            Sequel.cast(Sequel.function(:date_trunc, "month", :accepted_at), :date)
          )
        @gym.db[:nameless_fittings].insert(%i[gym_id machine_id exercise marks grade month], rows)
      end

      # Answers are kept for a day so that nothing is done twice: those that tell of them, or of anything that was
      # theirs, tell nothing any more.
      def forget_answers(theirs, status, body)
        naming(theirs).update(status: status, body: Secrets.lock(body, :answer), about: Writes.ids([]))
      end

      # The client's, and of their fittings, visits, sets, sessions and programmes.
      def ids(id)
        visits = @gym.visits.dataset.where(client_id: id).select_map(:id)
        [
          id,
          *@gym.fittings.dataset.where(client_id: id).select_map(:id),
          *@gym.sessions.dataset.where(client_id: id).select_map(:id),
          *@gym.programmes.dataset.where(client_id: id).select_map(:id),
          *visits,
          *@gym.db[:sets].where(visit_id: visits).select_map(:id)
        ]
      end

      # What was kept before ids stood beside it is opened.
      def naming(ids)
        writes =
          @gym.db[:writes].where(account_id: @gym.db[:accounts].where(gym_id: @gym.id).select(:id)).exclude(body: nil)
        older =
          writes
            .where(about: nil)
            .select(:account_id, :key, :body)
            .all
            .select { |row| Secrets.open(row[:body], :answer).then { |text| ids.any? { |id| text.include?(id) } } }
        writes.where(Sequel.lit("about && ?", Writes.ids(ids))).or(
          %i[account_id key] => older.map { |row| row.values_at(:account_id, :key) }
        )
      end

      # A file on its way that names one of them would bring them back: it is let go, whole, and has to be sent again.
      def forget_files(rows)
        @gym.imports.naming(rows.flat_map { |row| row.values_at(:id, :name) }).each { |id| @gym.imports.delete(id) }
      end
    end
  end
end
