# frozen_string_literal: true

module Verglas
  module Machines
    # A machine: its family, the constants taped at its first marks (mm, degrees) and its adjusters in the order in
    # which they are met. parameter(marks) = constant + sum of factor * travel. docs/model.md section 2.
    Machine =
      Value.define(:id, :family, :name, :constants, :adjusters) do
        include Together

        def check
          missing = family.constants.keys - constants.keys
          raise Invalid.new(:constant_missing, path: "/constants", name: missing.first.to_s) unless missing.empty?

          constants.each { |name, value| check_constant(name, value) }
          Family.check_tries(tries)
          labels = adjusters.map(&:label)
          raise Invalid.new(:labels_repeated, path: "/adjusters") unless labels.uniq.size == labels.size

          adjusters.each { |adjuster| adjuster.drives.each_key { |name| family.constant(name) } }
          Together.check(adjusters.map { |adjuster| [adjuster.label, adjuster.same_as, adjuster.size] })
          constants.each_key { |name| check_reach(name) }
        end

        def adjuster(label)
          adjusters.find { |adjuster| adjuster.label == label } ||
            raise(Invalid.new(:unknown_adjuster, path: "/marks", adjuster: label))
        end

        # How many ways to stand the solver compares.
        def tries = family.tries(ways)

        # What each adjuster that is set by itself drives, with those that take its mark, and how many marks it has;
        # but_for: labels left out.
        def ways(but_for: [])
          leading
            .reject { |place| but_for.include?(adjusters[place].label) }
            .map do |place|
              [together(place).map { |one| adjusters[one].drives }.inject({}, :merge), adjusters[place].size]
            end
        end

        # {label => mark} to one index an adjuster, in the machine's order. Every adjuster once, nothing else; one that
        # takes another's mark may be left out, and stands as that one does.
        def indices(marks)
          unknown = marks.keys - adjusters.map(&:label)
          raise Invalid.new(:unknown_adjuster, path: "/marks", adjuster: unknown.first) unless unknown.empty?

          adjusters.map do |adjuster|
            read = adjuster.follows? ? adjuster(adjuster.same_as) : adjuster
            read.index(
              marks.fetch(read.label) { raise Invalid.new(:mark_missing, path: "/marks", adjuster: read.label) }
            )
          rescue Invalid => e
            raise e.path.start_with?("/marks") ? e : e.below("/marks")
          end
        end

        def marks(indices) = adjusters.zip(indices).to_h { |adjuster, index| [adjuster.label, adjuster.marks[index]] }

        # {constant => value} at one index an adjuster.
        def parameters(indices)
          adjusters
            .each_with_index
            .with_object(constants.dup) do |(adjuster, position), values|
              travel = adjuster.travel[indices[position]]
              adjuster.drives.each { |name, factor| values[name] += factor * travel }
            end
        end

        # The least and the greatest value of a constant over all marks.
        def reach(name)
          driving = adjusters.select { |adjuster| adjuster.drives?(name) }
          ends = driving.map { |adjuster| adjuster.travel.map { |travel| travel * adjuster.drives[name] }.minmax }
          [0, 1].map { |side| constants.fetch(name) + ends.sum { |pair| pair[side] } }
        end

        # Whether some adjuster moves a constant.
        def driven?(name) = adjusters.any? { |adjuster| adjuster.drives?(name) }

        # Codes of all that is graded on it.
        def graded
          family.findings.each_value.select { |kind| kind.where_driven.nil? || driven?(kind.where_driven) }.map(&:code)
        end

        private

        # The far marks must stay possible too.
        def check_reach(name)
          range = family.constant(name).range
          low, high = reach(name)
          return if range.cover?(low) && range.cover?(high)

          raise Invalid.new(
                  :parameter_out_of_range,
                  path: "/adjusters",
                  name: name.to_s,
                  low: range.min,
                  high: range.max
                )
        end

        def check_constant(name, value)
          range = family.constant(name).range
          return if value.is_a?(Numeric) && range.cover?(value)

          raise Invalid.new(
                  :constant_out_of_range,
                  path: "/constants/#{name}",
                  name: name.to_s,
                  value: value,
                  low: range.min,
                  high: range.max
                )
        rescue Invalid => e
          raise e.path.start_with?("/constants") ? e : e.below("/constants")
        end
      end
  end
end
