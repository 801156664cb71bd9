# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A group that rotates: who is where in which round and what moves. Nothing of anybody's health: who does not work
      # at a station rests, or is on another machine, without why.
      module Circle
        module_function

        # circle: Questions::Circle; now: the server's clock.
        def of(circle, now: Time.now)
          row = circle.row
          rotation = circle.rotation
          called = Client.told_apart(rotation.people.values) { |one, letters| called(one, letters) }
          {
            **row.slice(:id, :name, :work_s, :round, :version),
            round_at: Told.time(row[:round_at]),
            at: Told.time(now),
            stations: rotation.stations.map { |one| station(one) },
            people: rotation.ids.map { |id| { id: id, name: rotation.people[id][:name], called: called[id] } },
            rounds: rotation.rounds.map { |one| round(one, called) },
            says: says(circle)
          }
        end

        # By the first name alone, where nobody else there is called so.
        def called(row, letters) = letters == 1 ? row[:name].split.first : Client.initialled(row[:name], letters - 1)

        def station(one)
          {
            key: one.key,
            machine: {
              id: one.row[:id],
              name: Told::Names.machine(one.row[:name], one.exercise),
              place: one.row[:place]
            }
          }
        end

        def round(round, called)
          {
            change_s: round.change_s,
            resting: round.resting.map { |id| called[id] },
            cells: round.cells.map { |one| cell(one, called) }
          }
        end

        def cell(one, called)
          place = one.place
          {
            person: one.person,
            called: one.person ? called[one.person] : "",
            state: one.state,
            instead: one.instead,
            fitting_id: place&.fitting_id,
            marks: place ? place.tags : [],
            load: place ? place.load : "",
            aids: place ? place.aids : [],
            how: place ? place.how : [],
            moves: one.moves&.map { |label, from, upto| { name: Formats::Words.adjuster(label), from: from, to: upto } }
          }
        end

        def says(circle)
          rotation = circle.rotation
          longest = rotation.rounds.map(&:change_s).max.to_i
          words(
            :moves,
            moves: words(rotation.moves == 1 ? :one_move : :many_moves, count: rotation.moves),
            by_name: circle.by_name,
            rounds: rotation.rounds.size,
            longest: longest
          )
        end

        # A line of the list.
        def summary(row)
          {
            **row.slice(:id, :name, :round),
            people: row[:people].to_a.compact.size,
            stations: row[:stations].to_a.size,
            updated_at: Told.time(row[:updated_at])
          }
        end

        def words(key, **params) = Formats::Words.say("circles.#{key}", **params)
        private_class_method :called, :station, :round, :cell, :says, :words
      end
    end
  end
end
