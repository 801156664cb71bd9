# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Whom nothing was written of since some time: no fitting, no visit, no reading, nothing about themselves. Those
      # who are known longest first.
      class PastTheirTime
        MOST = 50

        def initialize(gym)
          @gym = gym
        end

        # Client rows, with what lies encrypted opened.
        def call(before)
          since = ->(table, column) do
            @gym.db[table]
              .where(client_id: Sequel[:clients][:id])
              .where { Sequel[table][column] >= before }
              .select(1)
              .exists
          end
          rows =
            @gym
              .clients
              .dataset
              .where { (created_at < before) & (updated_at < before) }
              .exclude(since[:fittings, :updated_at])
              .exclude(since[:visits, :last_at])
              .exclude(since[:readings, :taken_at])
          Sealed.open_all(
            :clients,
            rows.order(:created_at, :id).limit(MOST).select(:id, :name, :detail_cipher, :sex, :version, :updated_at).all
          )
        end
      end
    end
  end
end
