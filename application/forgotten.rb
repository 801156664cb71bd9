# frozen_string_literal: true

module Verglas
  module Application
    # Somebody forgot their password and asks for a new one by e-mail.
    class Forgotten
      # No second letter within so long.
      MINUTES = 10

      def initialize(db)
        @db = db
      end

      # Yields the link that was made, and {gym, name, email} of whose it is; nothing where nobody works under that
      # address, or one was made a short time ago.
      def call(email)
        made = @db.transaction { made(email) }
        yield(*made) if made
      end

      private

      def made(email)
        row = open_account(email)
        return if row.nil? || lately?(row[:id])

        gym = Store::Gym.new(@db, row[:gym_id])
        gym.trail.add("asked_for_password", by: row[:id])
        [gym.colleagues.reset(row[:id], by: row[:id]), { gym: gym.row[:name], **row.slice(:name, :email) }]
      end

      # Held, so that two at the same time make one.
      def open_account(email)
        @db[:accounts]
          .where(Sequel.function(:lower, :email) => email.strip.downcase, :status_id => Store::Staff::OPEN)
          .exclude(gym_id: nil)
          .for_update
          .first
      end

      def lately?(account_id)
        since = Sequel::CURRENT_TIMESTAMP - Sequel.cast("#{MINUTES} minutes", :interval)
        @db[:staff_links].where(account_id: account_id, made_by: account_id).where { made_at > since }.any?
      end
    end
  end
end
