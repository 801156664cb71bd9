# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Which clients a gym's clinicians were shown.
      class Shares
        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:client_shares].where(Sequel[:client_shares][:gym_id] => @gym.id)

        # Ids of the clients that an account was shown, to ask others with.
        def with(account_id) = dataset.where(account_id: account_id).select(:client_id)

        # {id, name, shared} of the clinicians who work here, by name.
        def of(client_id)
          seeing = dataset.where(client_id: client_id).select_map(:account_id)
          clinicians.all.map { |row| { **row, shared: seeing.include?(row[:id]) } }
        end

        # {name, shared_at} of those who see a client, by name.
        def standing(client_id)
          dataset
            .where(client_id: client_id)
            .join(:accounts, id: :account_id)
            .order(:name)
            .select(:name, :shared_at)
            .all
        end

        def add(client_id, account_id, by:)
          row = { gym_id: @gym.id, client_id: client_id, account_id: account_id, shared_by: by }
          @gym.db[:client_shares].insert_conflict.insert(row)
        end

        def end(client_id, account_id) = dataset.where(client_id: client_id, account_id: account_id).delete

        # One of the clinicians who work here, or nil.
        def clinician(account_id) = clinicians.where(id: account_id).first

        private

        def clinicians
          @gym.db[:accounts]
            .where(gym_id: @gym.id, role: "clinician", status_id: Staff::OPEN)
            .order(:name)
            .select(:id, :name)
        end
      end
    end
  end
end
