# frozen_string_literal: true

module Verglas
  module Application
    # What somebody does who is not signed in and holds a link: takes up an invitation, chooses a new password, begins
    # an empty server.
    class Arrivals
      KINDS = %w[invitation reset].freeze
      # No two begin one server.
      BEGINNING = 3_281_001

      # hash: {password => what is kept of it}.
      def initialize(db, hash:)
        @db = db
        @hash = hash
        @links = Store::StaffLinks.new(db)
      end

      # {kind, gym, name, email, role} of the link that a secret opens. Raises Invalid where it opens none.
      def shown(secret)
        row = @links.find(secret, kinds: KINDS) or over
        account = row[:account_id] ? @db[:accounts].first(id: row[:account_id]) : row
        { kind: row[:kind], gym: Store::Gym.new(@db, row[:gym_id]).row[:name], **account.slice(:name, :email, :role) }
      end

      # Once: two at the same time wait for one another. Answers the account's row.
      def taken(secret, password:, name: nil)
        @db.transaction do
          row = @links.hold(secret, kinds: KINDS) or over
          @links.use(row)
          row[:kind] == "reset" ? reset(row, password) : arrived(row, password, name)
        end
      end

      # Whether this server holds no gym yet.
      def first? = @db[:gyms].empty?

      # code: as it was typed; gym: {name:, locale:, length_unit:}; lead: {name:, email:}. Answers the lead's row.
      def begun(code, gym:, lead:, password:)
        @db.transaction do
          @db.get(Sequel.function(:pg_advisory_xact_lock, BEGINNING))
          raise Invalid, :begun_already unless first?

          row = @links.hold(Store::StaffLinks.typed(code), kinds: %w[first])
          raise Invalid.new(:code_wrong, path: "/code") unless row

          @links.use(row)
          id = @db[:gyms].returning(:id).insert(**gym).first[:id]
          account(id, role: "lead", length_unit: gym[:length_unit], password: password, **lead).tap do |made|
            Store::Gym.new(@db, id).trail.add("began_gym", by: made[:id])
          end
        end
      end

      private

      def over = raise(Invalid, :link_over)

      def arrived(row, password, name)
        unit = @db[:gyms].where(id: row[:gym_id]).get(:length_unit)
        facts = { name: name || row[:name], **row.slice(:email, :role) }
        account(row[:gym_id], length_unit: unit, password: password, **facts).tap do |made|
          Store::Gym.new(@db, row[:gym_id]).trail.add("took_up_invitation", by: made[:id])
        end
      end

      # Whoever is signed in under the old one is not any more; wrong PINs are forgiven with the next full sign-in.
      def reset(row, password)
        gym = Store::Gym.new(@db, row[:gym_id])
        account = gym.colleagues.find(row[:account_id])
        over unless account[:status_id] == Store::Staff::OPEN

        gym.colleagues.end_sessions(account[:id])
        Store::Staff.set_password(@db, account[:id], @hash.call(password))
        gym.trail.add("reset_password", by: account[:id])
        account
      end

      def account(gym_id, password:, email:, **fields)
        taken = @db[:accounts].where(status_id: Store::Staff::OPEN).where(Sequel.function(:lower, :email) => email)
        raise Invalid.new(:email_taken, path: "/email") if taken.any?

        row = @db[:accounts].returning.insert(gym_id: gym_id, email: email, **fields).first
        Store::Staff.set_password(@db, row[:id], @hash.call(password))
        row
      end
    end
  end
end
