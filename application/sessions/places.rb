# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # Where several people work in a group: a Place a person and station, kept until something changes of which it is
      # made.
      class Places
        Station = Struct.new(:key, :row, :exercise)

        # ids: of clients.
        def initialize(gym, ids)
          @gym = gym
          @ids = ids
        end

        # {id => one of Store::Queries::People}
        def persons = @persons ||= Store::Queries::People.new(@gym).call(@ids)

        # By its key. Raises Invalid where the gym has it not, or no more.
        def station(key)
          machine_id, exercise = key.split("/", 2)
          row = machines.find { |one| one[:id] == machine_id }
          unless row && Described.exercises(row).map(&:to_s).include?(exercise)
            raise Invalid.new(:not_allowed, path: "/stations")
          end

          Station.new(key, row, exercise)
        end

        # [Station] of every machine that is in use, each exercise.
        def stations
          machines
            .select { |row| row[:state] == "in_use" }
            .flat_map { |row| Described.exercises(row).map { |name| station("#{row[:id]}/#{name}") } }
        end

        # A Place.
        def of(id, station)
          (@of ||= {})[[id, station.key]] ||= Kept
            .shared
            .of(:places, basis(id, station)) { OneLine.of(station.row[:id], -> { Place.none }) { made(id, station) } }
        end

        # Keys of all stations at which somebody works.
        def works(id) = stations.select { |station| of(id, station).works? }.map(&:key)

        private

        def machines = @machines ||= @gym.machines.in_service
        def shared = @shared ||= Meeting::Shared.of(@gym)

        # With what they have shown elsewhere: what they are ready for changes with it.
        def basis(id, station)
          at = at(id, station)
          Fingerprint.of(floor(id).basis, station.key, versions[at], lifted[at])
        end

        def at(id, station) = [id, station.row[:id], station.exercise]

        # By [client id, machine id, exercise].
        def versions = @versions ||= Store::Queries::LatestFittings.new(@gym).versions(@ids)
        def lifted = @lifted ||= Store::Queries::LatestLoads.new(@gym).among(@ids)

        def made(id, station)
          meeting = floor(id).meetings.fetch([station.row[:id], station.exercise])
          Place.of(meeting, latest(station)[id], lifted[at(id, station)], instead: -> { serving(id, meeting) })
        end

        # One for all stations, so that nobody is met by a machine twice.
        def floor(id)
          (@floors ||= {})[id] ||= FloorCard.new(@gym, id, rows: machines, person: persons.fetch(id), shared: shared)
        end

        def serving(id, meeting)
          floor(id)
            .instead(meeting)
            .map do |found|
              ["#{found.row[:id]}/#{found.exercise}", Told::Names.machine(found.row[:name], found.exercise)]
            end
        end

        def latest(station)
          (@latest ||= {})[station.key] ||= @gym.fittings.last_accepted_of(@ids, station.row[:id], station.exercise)
        end
      end
    end
  end
end
