# frozen_string_literal: true

require "securerandom"

module Verglas
  module Store
    module Tables
      # Links by which clients of a gym open their own card. Each opens until it is taken back.
      class ClientLinks
        MOST = 5

        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:client_links].where(gym_id: @gym.id)

        # The newest first.
        def of(client_id) = dataset.where(client_id: client_id).reverse(:made_at).all

        # Answers {id:, secret:}. Raises Invalid where a client has MOST already.
        def make(client_id, by:)
          @gym.clients.hold_to_write(client_id)
          raise Invalid.new(:links_full, most: MOST) if dataset.where(client_id: client_id).count >= MOST

          secret = SecureRandom.urlsafe_base64(StaffLinks::BYTES)
          row = { gym_id: @gym.id, client_id: client_id, made_by: by, secret_digest: StaffLinks.digest(secret) }
          { id: dataset.returning(:id).insert(row).first[:id], secret: secret }
        end

        # Answers how many there were.
        def take_back(client_id, id) = dataset.where(client_id: client_id, id: id).delete

        # {gym_id:, client_id:} of the link that a secret opens, of a gym that has such pages; counted. nil for none.
        def self.opened(db, secret)
          links = db[:client_links].where(secret_digest: StaffLinks.digest(secret))
          links
            .where(gym_id: db[:gyms].where(own_pages: true).select(:id))
            .returning(:gym_id, :client_id)
            .update(opened: Sequel[:opened] + 1, opened_at: Sequel::CURRENT_TIMESTAMP)
            .first
        end
      end
    end
  end
end
