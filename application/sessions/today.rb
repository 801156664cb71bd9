# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # Why something was left out that says nothing against it.
      FOR_TIME = %w[time taken].freeze

      # The gym and a client as they are just now, for a plan: {key => marks at which the machine stands}, {key => how
      # many wait there}, whether two exercises may be done in turn, keys of what the last session left out for want of
      # time, and the time.
      Today =
        Value.define(:standing, :waiting, :in_turn, :carried, :now) do
          def self.of(gym, client, now: Time.now)
            new(
              standing: standing(gym),
              waiting: keyed(Store::Queries::LastVisits.new(gym).waiting),
              in_turn:
                Planning::Pair.open?(
                  cautions: gym.cautions.of(client[:id]).map { |row| row[:caution].to_sym },
                  years: ClientBody.age_years(client[:birth_date], now.to_date),
                  newcomer: gym.visits.dataset.where(client_id: client[:id]).empty?
                ),
              carried: carried(gym, client),
              now: now
            )
          end

          def self.carried(gym, client)
            last = gym.sessions.latest(client[:id], most: 3).find { |row| row[:state] == "done" }
            last ? last[:left_out].select { |one| FOR_TIME.include?(one["why"]) }.map { |one| one["key"] } : []
          end

          def self.standing(gym) = keyed(Store::Queries::LastVisits.new(gym).standing)
          def self.keyed(by_machine) = by_machine.transform_keys { |place| place.join("/") }
        end
    end
  end
end
