# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # A plan of a client's session, with what it may be made from: the gym's aims, its programmes and the client's.
      #   reading   name of the length worth taking first, of somebody who was fitted nowhere; nil for none
      ClientSession =
        Value.define(:client, :planned, :kept_off, :barred, :reading, :standing, :aims, :programmes, :last_days) do
          const_set(:LATEST, 20)

          # given: wishes.
          def self.of(gym, client, given)
            whole(gym, client, Sessions::Making.plan(gym, client, given))
          end

          # {programme's id => the day of it that was done last}
          def self.last_days(gym, client)
            gym
              .sessions
              .latest(client[:id], most: self::LATEST)
              .select { |row| row[:programme_id] && row[:state] == "done" }
              .reverse
              .to_h { |row| row.values_at(:programme_id, :day) }
          end

          # The length that would narrow the settings most; nil where none is worth the time.
          def self.reading(gym, client)
            best = ClientReading.new(gym, client).ranking.first
            best.observation if best&.worth_taking?
          end

          def self.whole(gym, client, planned)
            new(
              client: client,
              planned: planned,
              kept_off: planned.known.kept_off,
              barred: planned.known.barred,
              reading: planned.first_visit? ? reading(gym, client) : nil,
              standing: Sessions::Today.standing(gym),
              aims: Loading::Aim.table(gym.aims.all).map(&:name),
              programmes: gym.programmes.of(client[:id]),
              last_days: last_days(gym, client)
            )
          end
        end
    end
  end
end
