# frozen_string_literal: true

module Verglas
  module Machines
    # Adjusters of a machine of which one always takes another's mark (Adjuster#same_as): set as one, solved as one. A
    # place is an adjuster's, in the machine's order.
    module Together
      # Raises Invalid where one of a list takes the mark of none of it, of one that follows too, or that has fewer or
      # more marks. rows: [[label, same_as, number of marks], ...]
      def self.check(rows)
        rows.each_with_index do |(label, same_as, size), index|
          next if same_as.nil? || rows.include?([same_as, nil, size])

          raise Invalid.new(:same_as_unlike, path: "/adjusters/#{index}/same_as", adjuster: label)
        end
      end

      # Places of the adjusters that are set by themselves.
      def leading = adjusters.each_index.reject { |place| adjusters[place].follows? }

      # Those of all that stand as one with that at a place, the one that is set first.
      def together(place)
        leader = adjusters[place].same_as || adjusters[place].label
        of_all = adjusters.each_index
        [
          of_all.find { |one| adjusters[one].label == leader },
          *of_all.select { |one| adjusters[one].same_as == leader }
        ]
      end

      # Indices with one adjuster at another mark, and what stands as one with it.
      def set(indices, place, index)
        indices.dup.tap { |copy| together(place).each { |one| copy[one] = index } }
      end

      # The group in which an adjuster is solved, with what stands as one with it (Family#group_of).
      def group_of(place)
        groups = together(place).map { |one| family.group_of(adjusters[one]) }.uniq - [:recorded]
        return :recorded if groups.empty?

        groups.one? ? groups.first : :joint
      end

      # Raises Invalid where an adjuster stands elsewhere than the one whose mark it takes.
      def check_agreeing(marks)
        strange =
          adjusters.find { |one| one.follows? && marks.fetch(one.label, followed(one, marks)) != followed(one, marks) }
        return unless strange

        raise Invalid.new(:marks_disagree, path: "/marks", adjuster: strange.label, other: strange.same_as)
      end

      # What decides where an adjuster stands, with those that take its mark; nil where nothing does, or where it
      # takes another's.
      def deciding(adjuster) = adjuster.follows? ? nil : decided_by(driving(adjuster))

      # Of those that stand as one with an adjuster, the first whose place something decides.
      def driving(adjuster)
        together(adjusters.index(adjuster)).map { |place| adjusters[place] }.find { |one| decided_by(one) } || adjuster
      end

      private

      def decided_by(adjuster)
        kind = family.kind_of(adjuster.drives)
        return unless kind

        others = (adjusters - [adjuster]).filter_map { |other| family.kind_of(other.drives)&.name }
        kind.beside.find { |name, _| others.include?(name) }&.last || kind.decides
      end

      def followed(one, marks)
        leader = adjuster(one.same_as)
        one.marks[leader.index(marks.fetch(leader.label))]
      end
    end
  end
end
