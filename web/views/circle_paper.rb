# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A group's rounds as they are printed.
      module CirclePaper
        module_function

        # circle: what Circle makes; gym_row: the gym's.
        def of(circle, gym_row)
          {
            name: circle[:name],
            gym: gym_row[:name],
            about: [words(:work, seconds: circle[:work_s]), circle[:says]].join(" "),
            stations: circle[:stations].map { |one| one[:machine][:name] },
            rounds: circle[:rounds].each_with_index.map { |round, index| round(round, index + 1) }
          }
        end

        def round(round, number)
          { name: words(:round, number: number), cells: round[:cells].map { |cell| cell(cell) } }
        end

        def cell(cell)
          { who: cell[:called], says: says(cell) }
        end

        def says(cell)
          case cell[:state]
          when :works
            [moves(cell[:moves]), cell[:load], *cell[:aids]].reject(&:empty?).join(" · ")
          when :instead
            words(:beside_it, machine: cell[:instead])
          when :rests
            words(:rests)
          else
            ""
          end
        end

        # nil: nobody knows how it stands.
        def moves(moves)
          return words(:unknown) unless moves
          return words(:as_it_stands) if moves.empty?

          moves.map { |one| words(:move, **one) }.join(", ")
        end

        def words(key, **params) = Formats::Words.say("circles.#{key}", **params)
        private_class_method :round, :cell, :says, :moves, :words
      end
    end
  end
end
