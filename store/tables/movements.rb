# frozen_string_literal: true

require "securerandom"

module Verglas
  module Store
    module Tables
      # Movements that phones read, for one gym. A code serves once, for CODE_S; whoever opened it with that holds a
      # secret of their own until the reading is over. What nobody kept is swept after a day.
      class Movements
        CODE_S = 10 * 60
        # No set is longer; a batch of samples is less than so many.
        READS_S = 240
        KEPT_S = 24 * 3600

        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:movements].where(gym_id: @gym.id)
        def find(id) = dataset.first(id: id)
        def hold(id) = dataset.where(id: id).for_update.first
        def delete(id) = dataset.where(id: id).delete

        # fields: {client_id:, fitting_id: or limit_name:, leg:}. Answers {id:, secret:, ends_at:}. One a fitting or
        # limit: another that still waits or reads there opens nothing any more.
        def make(by:, asked:, **fields)
          dataset.where(fields.slice(:client_id, :fitting_id, :limit_name)).delete
          secret = SecureRandom.urlsafe_base64(StaffLinks::BYTES)
          row = {
            gym_id: @gym.id,
            made_by: by,
            asked: Sequel.pg_json(asked),
            secret_digest: StaffLinks.digest(secret),
            ends_at: self.class.in_s(CODE_S),
            **fields
          }
          { **dataset.returning(:id, :ends_at).insert(**row).first, secret: secret }
        end

        # The row that a code opens, this once, with the secret that serves from then on; nil where it opens none.
        def self.opened(db, code)
          secret = SecureRandom.urlsafe_base64(StaffLinks::BYTES)
          row =
            db[:movements]
              .where(secret_digest: StaffLinks.digest(code), opened_at: nil)
              .where { ends_at > Sequel::CURRENT_TIMESTAMP }
              .returning
              .update(
                secret_digest: StaffLinks.digest(secret),
                opened_at: Sequel::CURRENT_TIMESTAMP,
                ends_at: in_s(CODE_S)
              )
              .first
          row && { **row, secret: secret }
        end

        # The one that a phone reads with its secret, until the transaction ends nobody else's; nil where none is.
        def self.read_with(db, secret)
          db[:movements]
            .where(secret_digest: StaffLinks.digest(secret))
            .exclude(opened_at: nil)
            .where { ends_at > Sequel::CURRENT_TIMESTAMP }
            .for_update
            .first
        end

        def self.in_s(seconds) = Sequel::CURRENT_TIMESTAMP + Sequel.cast("#{seconds} seconds", :interval)
        def self.sweep(db)
          db[:movements]
            .where { made_at < Sequel::CURRENT_TIMESTAMP - Sequel.cast("#{KEPT_S} seconds", :interval) }
            .delete
        end

        # What came, batch by batch: one that is there already counts once. anew: nothing that came before counts.
        def take(id, number, samples, anew:)
          @gym.db[:movement_samples].where(movement_id: id).delete if anew
          @gym.db[:movement_samples].insert_conflict.insert(
            movement_id: id,
            number: number,
            samples: Sequel.pg_json(samples)
          )
        end

        # All of them, in the order of their numbers; and up to which number none is missing.
        def samples(id) = batches(id).select_map(:samples).flat_map(&:to_a)
        def through(id)
          numbers = batches(id).select_map(:number)
          numbers.each_with_index.find { |number, index| number != index + 1 }&.last || numbers.size
        end

        def note(id, found, over: false)
          ended = over ? { ended_at: Sequel::CURRENT_TIMESTAMP } : {}
          dataset.where(id: id).update(found: Sequel.pg_json(found), **ended)
        end

        private

        def batches(id) = @gym.db[:movement_samples].where(movement_id: id).order(:number)
      end
    end
  end
end
