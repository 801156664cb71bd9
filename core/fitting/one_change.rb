# frozen_string_literal: true

module Verglas
  module Fitting
    # What one change of a machine would do for whoever is not in line on it: one more mark, notches half as far apart,
    # a cushion or a block. Every place in steps is tried, everything else standing as it is.
    class OneChange
      STEP_MM = 10
      BEYOND_MM = 100
      # Of what may be added, mm.
      SIZES_MM = [10, 20, 30, 40, 50, 60].freeze

      # kind: :beyond (one more mark, so many mm past the mark near), :between (one more mark between near and next),
      # :finer (every notch of an adjuster in two), :added (a choice of so many mm); label: the adjuster's, or the
      # choice's name. machine: as it would be; index: of its new mark, nil for none.
      Change = Struct.new(:kind, :label, :near, :next, :mm, :machine, :index)

      attr_reader :changes

      # wishes: what is aimed at on the machine.
      def initialize(machine, wishes)
        @machine = machine
        @wishes = wishes
        @changes = [*machine.adjusters.select { |one| moves?(one) }.flat_map { |one| of_adjuster(one) }, *added]
      end

      # Severity of the worst finding of a body (Body::Dimensions) at the best marks, as the machine is.
      def now(body) = worst(@machine, body, @wishes)

      # Whether a body would be in line with each change.
      def in_line(body)
        changes.map do |change|
          wishes = change.kind == :added ? @wishes.wishing(change.label => change.mm.to_f) : @wishes
          # With one more mark something changes only where that is used.
          held = change.index ? { change.label => change.index } : {}
          worst(change.machine, body, wishes, held).zero?
        end
      end

      private

      def worst(machine, body, wishes, held = {})
        Solver.new(machine: machine, body: body, wishes: wishes, held: held).solutions.first.worst
      end

      def moves?(adjuster)
        adjuster.size > 1 && adjuster.drives.any? && alone?(adjuster) &&
          adjuster.drives.keys.all? { |name| @machine.family.constant(name).unit == :mm }
      end

      # A mark more on one of those that stand as one is a mark more on each.
      def alone?(adjuster) = @machine.together(@machine.adjusters.index(adjuster)).one?

      def of_adjuster(adjuster) = [*beyond(adjuster), *between(adjuster), finer(adjuster)].compact

      def beyond(adjuster)
        first, last = adjuster.travel.each_with_index.minmax.map(&:last)
        STEP_MM
          .step(BEYOND_MM, STEP_MM)
          .flat_map do |size|
            [[first, -size], [last, size]].map do |index, off|
              one_more(adjuster, adjuster.travel[index] + off, :beyond, adjuster.marks[index], nil, size)
            end
          end
      end

      def between(adjuster)
        neighbours(adjuster).map do |(mark, travel), (next_mark, next_travel)|
          one_more(adjuster, (travel + next_travel) / 2.0, :between, mark, next_mark, nil)
        end
      end

      # Marks with their travel, from the least on.
      def neighbours(adjuster) = adjuster.marks.zip(adjuster.travel).sort_by(&:last).each_cons(2)

      def one_more(adjuster, travel, kind, near, following, size)
        changed(adjuster, [travel]) do |machine|
          Change.new(kind, adjuster.label, near, following, size, machine, adjuster.size)
        end
      end

      def finer(adjuster)
        changed(adjuster, neighbours(adjuster).map { |(_, one), (_, other)| (one + other) / 2.0 }) do |machine|
          Change.new(:finer, adjuster.label, nil, nil, nil, machine, nil)
        end
      end

      # The machine with more marks on an adjuster; nil where it could not be built so.
      def changed(adjuster, travels)
        names = travels.each_index.map { |index| "+#{index + 1}" }
        more = adjuster.with(marks: adjuster.marks + names, travel: adjuster.travel + travels)
        yield @machine.with(adjusters: @machine.adjusters.map { |one| one.equal?(adjuster) ? more : one })
      rescue Invalid
        nil
      end

      def added
        @machine
          .family
          .choices
          .each_value
          .select(&:sought?)
          .flat_map { |choice| SIZES_MM.map { |size| Change.new(:added, choice.name, nil, nil, size, @machine, nil) } }
      end
    end
  end
end
