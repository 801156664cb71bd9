# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # Getting in and out of a machine, as one reads it: its moves in their order, then what somebody wrote beside
      # them.
      module Moves
        module_function

        # exercise: the one that is done, "" where it needs no name; nil: whichever.
        def getting_in(row, exercise = nil) = told(row, :in, row[:getting_in], exercise)
        def getting_out(row, exercise = nil) = told(row, :out, row[:getting_out], exercise)

        # What the next one finds.
        def left_behind(row)
          left = Guidance::Moves.left(entries(row)).map { |key| Formats::Words.say("moves.left.#{key}") }
          [*left, row[:left_behind].to_s].reject(&:empty?).join(" ")
        end

        # Raises Invalid, with why an order is not possible.
        def check(data, families)
          Guidance::Moves.read(data, families)
        rescue Invalid => e
          raise Invalid.new(e.code, path: e.path, **e.params, says: why(e))
        end

        # {in:, out:}, as kept; of moves that are no more, none.
        def entries(row)
          Guidance::Moves.read(row[:moves].to_h, Machines::Families.fetch(row[:family]).plain_exercises.values)
        rescue Invalid
          Guidance::Moves::WAYS.to_h { |way| [way, []] }
        end

        def why(error)
          move, after = error.params.values_at(:move, :after).map { |name| name && title(name) }
          return Formats::Words.say("moves.too_early", move: move, after: after) if error.code == :move_too_early

          error.code == :move_still_loaded ? Formats::Words.say("moves.still_loaded", move: move) : move.to_s
        end

        def title(name) = Formats::Words.maybe("moves.#{name}") || name.to_s

        def told(row, way, text, exercise)
          family = exercise && Machines::Families.fetch(row[:family]).all_exercises[exercise[/.+/]]
          done = entries(row).fetch(way).select { |one| family.nil? || family.all?(one.move.of) }
          moves = done.map { |one| sentence(one) }
          list = moves.empty? ? "" : "#{Formats::Words.adjuster(moves.join(", "))}."
          [list, text.to_s].reject(&:empty?).join(" ")
        end

        # Who, where it is not the client; and what the machine does by itself.
        def sentence(entry)
          move = Formats::Words.say("moves.#{entry.move.name}")
          move = Formats::Words.say("moves.frees_itself", move: move) if entry.frees
          Formats::Words.say("moves.#{entry.who}", move: move)
        end
        private_class_method :why, :title, :told, :sentence
      end
    end
  end
end
