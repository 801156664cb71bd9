# frozen_string_literal: true

module Verglas
  module Store
    # One gym's rows. Every question about a gym's people and machines starts here, so that none can see another's.
    class Gym
      attr_reader :db, :id, :shown_to

      # shown_to: the account to which only those clients are shown who were shared with it; nil where all are.
      def initialize(db, id, shown_to: nil)
        @db = db
        @id = id
        @shown_to = shown_to
      end

      def clients = Tables::Clients.new(self)
      def joins = Tables::Joins.new(self)
      def client_links = Tables::ClientLinks.new(self)
      def colleagues = Tables::Colleagues.new(self)
      def shares = Tables::Shares.new(self)
      def readings = Tables::Readings.new(self)
      def machines = Tables::Machines.new(self)
      def fittings = Tables::Fittings.new(self)
      def visits = Tables::Visits.new(self)
      def photographs = Tables::Photographs.new(self)
      def cautions = Tables::Cautions.new(self)
      def rules = Tables::Rules.new(self)
      def equipment = Tables::Equipment.new(self)
      def queues = Tables::Queues.new(self)
      def snoozes = Tables::Snoozes.new(self)
      def aims = @aims ||= Tables::Aims.new(self)
      def tempos = @tempos ||= Tables::Tempos.new(self)
      def cues = Tables::Cues.new(self)
      def sessions = Tables::Sessions.new(self)
      def programmes = Tables::Programmes.new(self)
      def circles = Tables::Circles.new(self)
      def practice = Tables::Practice.new(self)
      def movements = Tables::Movements.new(self)
      def imports = Tables::Imports.new(self)
      def trail = Tables::Trail.new(self)
      def row = db[:gyms].first(id: id)

      # Versions of what has no row of its own to carry one.
      PARTS = %i[equipment plates bands rules settings aims tempos].freeze

      def versions = row.then { |gym| PARTS.to_h { |part| [part, gym[:"#{part}_version"]] } }

      # Lets the block change a part of what the gym holds (one of PARTS), over the version which the writer saw;
      # raises Stale with which part it is otherwise. Who writes at the same time waits for the end of it.
      def revise(part, version:)
        column = :"#{part}_version"
        db.transaction do
          unless db[:gyms].where(:id => id, column => version).update(column => Sequel[column] + 1) == 1
            raise Stale, { gym: part }
          end

          yield
        end
      end

      # fields: {address:, wall_names:, keep_years:, ask_again_months:}
      def settle(version:, **fields) = revise(:settings, version: version) { db[:gyms].where(id: id).update(fields) }

      # {e-mail address in small letters => id} of who works here.
      def staff_ids = db[:accounts].where(gym_id: id).select_hash(:email, :id).transform_keys(&:downcase)

      # Names of who works here: {id => name} of some, one by id, and all whose account is open, by name.
      def staff_names(ids) = db[:accounts].where(gym_id: id, id: ids).select_hash(:id, :name)
      def staff_name(account_id) = staff_names([account_id])[account_id]

      def staff
        db[:accounts].where(gym_id: id, status_id: Staff::OPEN).order(:name).select(:id, :name).all
      end

      # Whether nobody and nothing was entered yet.
      def empty? = clients.dataset.empty? && machines.dataset.empty?

      # Statements of this transaction may take so long.
      def allow(milliseconds) = db.run("SET LOCAL statement_timeout = #{Integer(milliseconds)}")

      # In this transaction rows come by the thousand, into tables of which the planner knows that they are small:
      # references are looked up in their indexes all the same. Looking at a table makes it plan anew.
      def expect_many(tables)
        %w[seqscan bitmapscan].each { |way| db.run("SET LOCAL enable_#{way} = off") }
        tables.each { |table| db.run("ANALYZE #{db.literal(table)}") }
      end

      # Until the transaction ends nobody changes the gym's rules or what it owns.
      def hold = db[:gyms].where(id: id).for_share.get(:id)
    end
  end
end
