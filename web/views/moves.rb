# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # From the marks that stand on a machine to those that are wanted, as moves.
      module Moves
        module_function

        # by: marks to go, + in the printed order; nil where it stands there already, or nobody knows where it stands.
        def one(adjuster, from, to)
          by =
            (
              if [from, to].all? { |mark| adjuster.marks.include?(mark) }
                adjuster.marks.index(to) - adjuster.marks.index(from)
              else
                0
              end
            )
          if by.zero?
            nil
          else
            { label: adjuster.label, name: Formats::Words.adjuster(adjuster.label), from: from, to: to, by: by }
          end
        end

        def all(machine, from, to)
          machine
            .adjusters
            .reject(&:follows?)
            .filter_map { |adjuster| one(adjuster, from[adjuster.label], to[adjuster.label]) }
        end
      end
    end
  end
end
