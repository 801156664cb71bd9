# frozen_string_literal: true

module Verglas
  module Fitting
    # What there is to choose from besides marks: {choice => sizes in mm} of what a gym owns and a machine takes.
    Choices =
      Value.define(:sizes) do
        def self.none = new(sizes: {})

        def check
          return if sizes.values.flatten.all? { |size| size.is_a?(Numeric) && size.between?(1, 200) }

          raise Invalid.new(:cushion_out_of_range, path: "/options/cushions", low: 1, high: 200)
        end

        # Wishes with what the mechanism says of the computed ones.
        def computed(machine, body, wishes)
          names = of(machine.family) { |choice| choice.how == :computed }
          return wishes if names.empty?

          mechanics = Mechanisms.for(machine, body, wishes)
          wishes.wishing(**names.to_h { |name| [name, mechanics.choose(name, sizes.fetch(name))] })
        end

        # Every way to take one of each sought choice or none, as {choice => mm}, thinnest total first, grouped by that
        # total. wanting: codes of the findings that are as bad as any without one; nil: any.
        def by_total(family, wanting = nil)
          names = of(family) { |choice| choice.sought? && choice.sought_for?(wanting) }
          return [] if names.empty?

          ways(names)
            .reject { |way| way.all?(&:zero?) }
            .group_by(&:sum)
            .sort_by(&:first)
            .map { |_, same| same.map { |way| names.zip(way).to_h } }
        end

        # Sought only if without them the worst severity is not 0, and proposed only where they lower it: then the
        # thinnest total that does. The block solves with {choice => mm}: something comparable with a worst severity.
        # tries: how many ways to stand it compares each time; the thickest totals are left out where all of them
        # together would take too long; wanting: as of by_total. Answers [{choice => mm}, what the block said], the
        # first empty where none helps.
        def search(family, plain, tries: 1, wanting: nil)
          return {}, plain if plain.worst.zero?

          in_time(by_total(family, wanting), tries).each do |ways|
            best = ways.map { |way| [way, yield(way)] }.min_by(&:last)
            return best if best.last.worst < plain.worst
          end
          [{}, plain]
        end

        private

        # Every way to take one of each or none.
        def ways(names)
          names
            .map { |name| [0.0, *sizes.fetch(name).map(&:to_f)] }
            .then { |first, *others| first.product(*others).uniq }
        end

        # Names of a family's choices of which there is something.
        def of(family, &block) = family.choices.each_value.select(&block).map(&:name).select { |name| sizes.key?(name) }

        def in_time(totals, tries)
          asked = 0
          totals.take_while { |ways| (asked += ways.size * tries) <= Choices::MOST_TRIES }
        end
      end

    # Some five seconds of the solver's time, at the worst.
    Choices::MOST_TRIES = 100_000
  end
end
