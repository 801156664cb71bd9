# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client as a line of a list.
      module Client
        def self.summary(row) = Told::Names.client(row)

        # As little as tells people apart on a wall: "Imre T.", or a number.
        # A first name and so many letters of the rest.
        def self.initialled(name, letters = 1)
          name.split(/\s+/, 2).then { |first, rest| [first, *("#{rest[0, letters]}." if rest)].join(" ") }
        end

        # {id => name} of people: as the block calls each with so many letters, more of them until those who are called
        # alike differ; whom no letter tells apart, the number does.
        def self.told_apart(people)
          longest = people.map { |row| row[:name].length }.max.to_i
          people
            .group_by { |row| yield(row, 1) }
            .values
            .flat_map do |alike|
              letters =
                (
                  if alike.size == 1
                    1
                  else
                    (1..longest).find { |count| alike.map { |row| yield(row, count) }.uniq.size == alike.size }
                  end
                )
              alike.map { |row| [row[:id], letters ? yield(row, letters) : "#{yield(row, longest)} #{number(row)}"] }
            end
            .to_h
        end

        def self.number(row) = row[:id][0, 4].upcase

        def self.recent(row)
          { id: row[:id], name: row[:name], detail: row[:detail], fitted_at: Told.time(row[:fitted_at]) }
        end
      end
    end
  end
end
