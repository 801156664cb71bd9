# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # A group that rotates over stations: who works where in which round, and what has to be moved between neighbours.
      # People stand on a ring as long as there are people or stations, whichever are more; its empty places pass
      # through as people do. In round 1 the ring's first place is at the first station, and every round everybody goes
      # one station on.
      class Rotation
        # state: :works, :instead (on another machine), :rests, :empty; moves: [[label, from, to]], nil where nobody
        # knows how the machine stands.
        Cell = Struct.new(:person, :state, :place, :instead, :moves)
        # cells: one a station; resting: who has no machine in this round; change_s: the longest change before it.
        Round = Struct.new(:cells, :resting, :change_s)

        attr_reader :stations

        # stations: [key]; people: ids of clients on their ring, nil for an empty place; work_s: of a round.
        def initialize(gym, stations, people, work_s:)
          @gym = gym
          @work_s = work_s
          @places = Places.new(gym, people.compact)
          @stations = stations.map { |key| @places.station(key) }
          # Nobody works on the two exercises of a station at once.
          twice = @stations.map { |one| one.row[:id] }.tally.any? { |_, count| count > 1 }
          raise Invalid.new(:station_twice, path: "/stations") if twice

          @ring = people + Array.new([stations.size - people.size, 0].max)
        end

        # The order in which the least is moved, the first one staying first; people are those that are there.
        def self.ordered(gym, stations, people, work_s:)
          rotation = new(gym, stations, people, work_s: work_s)
          people.values_at(*rotation.circuit.order) + Array.new([stations.size - people.size, 0].max)
        end

        # The ring when somebody comes late to a group that rotates already: into an empty place, else before the first
        # station, so that everybody else goes on as before. round: the one that is worked in.
        def self.joined(ring, round, newcomer)
          empty = ring.index(nil)
          return ring.dup.tap { |copy| copy[empty] = newcomer } if empty

          # As they stand from the first station on, then one further, the newcomer first.
          slots = ring.each_index.map { |slot| ring[(round - 1 - slot) % ring.size] }.unshift(newcomer)
          Array.new(slots.size) { |place| slots[(round - place) % slots.size] }
        end

        # {id => client's row} of those that are there.
        def people = @places.persons.transform_values(&:row)

        # Their ids, in the order in which they follow one another.
        def ids = @ring.compact

        # The same people on another ring.
        def along(people)
          dup.tap { |copy| copy.take(people + Array.new([@stations.size - people.size, 0].max)) }
        end

        # [Round], each of the ring.
        def rounds
          @rounds ||=
            begin
              stands = @stations.map { |one| standing[one.key] }
              Array.new(@ring.size) { |number| round(number, stands) }
            end
        end

        # Core's, of those that are there.
        def circuit
          @circuit ||=
            Planning::Circuit.new(
              ids.map { |id| @stations.to_h { |one| [one.key, place(id, one).places] }.compact },
              @stations.to_h { |one| [one.key, changeover(one)] },
              closed: true
            )
        end

        # How many marks are moved in all rounds.
        def moves = rounds.sum { |round| round.cells.sum { |cell| cell.moves.to_a.size } }

        protected

        def take(ring)
          @ring = ring
          @rounds = @circuit = nil
        end

        private

        def standing = @standing ||= Today.standing(@gym)

        def place(id, station) = @places.of(id, station)

        def changeover(station)
          (@changeovers ||= {})[station.key] ||= SetUpTimes.of(@gym).changeover(station.row, station.exercise)
        end

        # stands: the marks at which each station was left, moved on in place.
        def round(number, stands)
          used = @stations.map(&:key)
          change_s = 0
          cells =
            @stations.each_with_index.map do |station, index|
              cell = cell(station, @ring[(number - index) % @ring.size], number, stands[index], used)
              if cell.state == :works
                change_s = [change_s, change_s(station, cell, stands[index])].max
                stands[index] = stands[index].to_h.merge(cell.place.marks)
              end
              cell
            end
          Round.new(cells, ids - cells.reject { |one| one.state == :rests }.map(&:person), change_s)
        end

        def cell(station, id, number, stands, used)
          return Cell.new(nil, :empty, nil, nil, []) unless id

          return Cell.new(id, :rests, nil, nil, []) if rests?(id, station, number)

          place = place(id, station)
          return Cell.new(id, :works, place, nil, stands && moved(place, stands)) if place.works?

          key, name = place.instead.find { |other, _| !used.include?(other) }
          used << key if key
          Cell.new(id, key ? :instead : :rests, place, name, [])
        end

        # Whoever may not go from machine to machine without a rest works in every other round, or in fewer where a
        # round is shorter than the rest; and what the day has closed for them is closed here too.
        def rests?(id, station, number)
          loads = Closed.loads(Machines::Families.fetch(station.row[:family]).exercise(station.exercise))
          (number % (1 + rounds_of_rest(id))).positive? || !day.why(id, station.key, loads).nil?
        end

        def rounds_of_rest(id)
          (@rounds_of_rest ||= {})[id] ||= in_turn?(id) ? 0 : (Tables[:loads][:rest][:seconds] / @work_s.to_f).ceil
        end

        def in_turn?(id)
          person = @places.persons.fetch(id)
          Planning::Pair.open?(
            cautions: person.cautions.map { |row| row[:caution].to_sym },
            years: ClientBody.age_years(person.row[:birth_date]),
            newcomer: !visited.include?(id)
          )
        end

        def visited = @visited ||= @gym.visits.dataset.where(client_id: ids).distinct.select_map(:client_id)
        def day = @day ||= Closed.new(@gym, ids, since: Time.now - Closed::DAY_S)

        def moved(place, stands)
          place.marks.filter_map do |label, mark|
            from = stands[label]
            [label, from, mark] if from && from != mark
          end
        end

        def change_s(station, cell, stands)
          changeover(station).seconds(stands && cell.place.places_of(stands), cell.place.places).round
        end
      end
    end
  end
end
