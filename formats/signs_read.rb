# frozen_string_literal: true

module Verglas
  module Formats
    # What bin/compute asks about signs: what was seen at some marks, what was looked for and not seen, and what to try
    # next.
    module SignsRead
      module_function

      def signs(request, subjects)
        machine = subjects.machine(request)
        reading =
          Guidance::SignReading.new(
            machine: machine,
            estimate: subjects.estimate(request),
            wishes: subjects.wishes(request, machine),
            dressed: request.fetch("trousers", false)
          )
        [*request.fetch("earlier", []), request].each do |at|
          reading.look(machine.indices(at["marks"]), **looked_for(at))
        end
        answer(reading, machine, machine.indices(request["marks"]), looked_for(request)[:seen])
      end

      def looked_for(at)
        %w[seen not_seen].to_h { |name| [name.to_sym, at.fetch(name, []).map(&:to_sym)] }
      end

      def answer(reading, machine, standing, seen)
        move = reading.move(standing)
        indices = move ? move.indices : standing
        {
          marks: machine.marks(indices),
          moves: move ? { move.adjuster => move.by } : {},
          p_in_line: {
            now: reading.in_line(standing),
            then: reading.in_line(indices, standing: standing)
          },
          causes: causes(reading, seen, standing),
          unexplained: reading.unexplained(standing).any?
        }
      end

      # Of all that was seen there, each sign with the same weight.
      def causes(reading, seen, standing)
        found = seen.uniq.flat_map { |name| reading.causes(name, standing) }
        found
          .group_by { |one| one.cause.name }
          .map { |name, same| { cause: name, p: same.sum(&:probability) / seen.uniq.size } }
          .sort_by
          .with_index { |one, index| [-one[:p], index] }
      end
    end
  end
end
