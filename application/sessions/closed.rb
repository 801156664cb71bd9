# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # What the day has closed for some clients: everything after a stop sign but pain in a joint;
      # what hurt, and whatever loads the same joint or the back, wherever it was felt.
      class Closed
        # Where a set may hurt, and what a family says that it loads.
        LOADS = { "knee" => :loads_knee, "hip" => :loads_hip, "foot" => :loads_foot, "low_back" => :loads_back }.freeze
        # The stop sign that ends an exercise and what loads the same, and not the day.
        JOINT = "joint_pain"
        # So long a day is the same one.
        DAY_S = 12 * 3600

        # since: from when on; upto: until when, nil for now.
        def initialize(gym, client_ids, since:, upto: nil)
          @gym = gym
          @ids = client_ids
          @since = since
          @upto = upto
        end

        # Names of LOADS.
        def self.loads(family) = LOADS.select { |_, tag| family.tags[tag] }.keys

        # :stopped, :hurt, or nil where it is open. key: "machine id/exercise".
        def why(client_id, key, loads)
          return :stopped if fittings(client_id).any? { |row| row[:state] == "stopped" && row[:stop_sign] != JOINT }

          :hurt if stopped(client_id).include?(key) || loads.intersect?(hurting(client_id))
        end

        # {key => why} of what it has closed of all that is possible to a client, without what is open. known:
        # Possibilities, of which nothing is asked where the day closed nothing.
        def of(client_id, known)
          return {} unless any?(client_id)

          [*known.fitted, *known.others].to_h { |one| [one.key, why(client_id, one.key, one.loads)] }.compact
        end

        # [[row, sets]] of a client's visits since, in their order.
        def visits(client_id) = all_visits.fetch(client_id, [])

        # Keys of machines on which a client was fitted since.
        def fitted(client_id)
          fittings(client_id).select { |row| row[:state] == "accepted" }.map { |row| key(row) }
        end

        def key(row) = "#{row[:machine_id]}/#{row[:exercise]}"

        private

        def any?(client_id)
          fittings(client_id).any? { |row| row[:stop_sign] } || stopped(client_id).any? || hurting(client_id).any?
        end

        def all_visits
          @all_visits ||=
            begin
              rows = @gym.visits.since(@ids, @since, upto: @upto)
              sets = @gym.visits.sets_of(rows.map { |row| row[:id] })
              rows
                .group_by { |row| row[:client_id] }
                .transform_values { |own| own.map { |row| [row, sets.fetch(row[:id], [])] } }
            end
        end

        def fittings(client_id)
          @fittings ||= Store::Queries::FittedSince.new(@gym).call(@ids, @since).group_by { |row| row[:client_id] }
          @fittings.fetch(client_id, [])
        end

        def stopped(client_id)
          visits(client_id).select { |row, _| row[:stopped] }.map { |row, _| key(row) } +
            joint(client_id).map { |r| key(r) }
        end

        # Fittings that ended so. In which joint is not said, so in all that the machine loads.
        def joint(client_id) = fittings(client_id).select { |row| row[:stop_sign] == JOINT }

        def hurting(client_id)
          felt = visits(client_id).flat_map { |_, sets| sets.filter_map { |set| set[:how]["felt"] } }
          (felt & LOADS.keys) | joint(client_id).flat_map { |row| Closed.loads(family(row)) }
        end

        def family(row) = Machines::Families.fetch(row[:family]).exercise(row[:exercise])
      end
    end
  end
end
