# frozen_string_literal: true

module Verglas
  module Store
    # Tablets that several members of staff share: who signed in on which in full, and the PIN with which each takes it
    # over. A full sign-in serves for one working day; five wrong PINs ask for another.
    class Tablets
      UUID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/
      SERVES = "12 hours"
      MOST_FAILURES = 5

      def initialize(db)
        @db = db
      end

      # A full sign-in also forgives wrong PINs. before: the name which the tablet had; whoever signed in under it goes
      # on under the new one, and the old one opens nothing.
      def signed_in(tablet, account_id, before: nil)
        @db.transaction do
          @db[:tablet_staff].where(tablet: before).update(tablet: tablet) if before
          @db[:tablet_staff].insert_conflict(
            target: %i[tablet account_id],
            update: {
              signed_in_at: Sequel::CURRENT_TIMESTAMP
            }
          ).insert(tablet: tablet, account_id: account_id)
          @db[:account_pins].where(id: account_id).update(failures: 0)
        end
      end

      # Whether this account signed in there before, whenever that was.
      def known?(tablet, email)
        @db[:tablet_staff].join(:accounts, id: :account_id).where(tablet: tablet, email: email).any?
      end

      # {id, name, pin: whether one is kept} of those of the same gym who may take it over, by name.
      def staff(tablet, gym_of:)
        here(tablet, gym_of)
          .left_join(:account_pins, id: Sequel[:accounts][:id])
          .order(Sequel[:accounts][:name])
          .select(
            Sequel[:accounts][:id],
            Sequel[:accounts][:name],
            Sequel.~(Sequel[:account_pins][:pin_hash] => nil).as(:pin)
          )
          .all
      end

      def pin?(account_id) = @db[:account_pins].where(id: account_id).any?

      def put_pin(account_id, pin_hash)
        fields = { pin_hash: pin_hash, failures: 0, set_at: Sequel::CURRENT_TIMESTAMP }
        @db[:account_pins].insert_conflict(target: :id, update: fields).insert(id: account_id, **fields)
      end

      # nil when the block finds the PIN right, else why not (a code); a wrong one is counted before it is looked at, so
      # that many tries at once are no way round the count.
      def try(tablet, account_id, same_gym_as:)
        return :pin_missing unless tablet && here(tablet, same_gym_as).where(Sequel[:accounts][:id] => account_id).any?

        pins = @db[:account_pins].where(id: account_id)
        return :pin_missing if pins.empty?
        return :pin_locked unless pins.where { failures < MOST_FAILURES }.update(failures: Sequel[:failures] + 1) == 1
        return :pin_refused unless yield(pins.get(:pin_hash))

        pins.update(failures: 0)
        nil
      end

      private

      def here(tablet, account_id)
        @db[:tablet_staff]
          .join(:accounts, id: :account_id)
          .where(tablet: tablet, status_id: Staff::OPEN, gym_id: @db[:accounts].where(id: account_id).select(:gym_id))
          .where { signed_in_at > Sequel::CURRENT_TIMESTAMP - Sequel.lit("interval '#{SERVES}'") }
      end
    end
  end
end
