# frozen_string_literal: true

module Verglas
  module Fitting
    # What is known of a client on one machine, together: the body (mm), those limits of its joints that nobody's word
    # fixes (degrees), and the lengths and angles that were taped of the machine. One normal over all of it, so that
    # what is seen at some marks moves everything that it may come of. docs/model.md section 18.
    class Knowledge
      attr_reader :machine, :wishes, :normal

      # estimate: Body::Estimate; wishes: Mechanisms::Wishes; limits: {wish => SD in degrees} of those limits.
      def self.of(machine:, estimate:, wishes:, limits: {})
        known = limits.slice(*machine.family.wishes.keys)
        taped = machine.constants.keys.select { |name| taped?(machine, name) }
        sds = [*known.values, *taped.map { |name| machine.family.constant(name).taped_sd }]
        new(
          machine: machine,
          wishes: wishes,
          limits: known.keys,
          taped: taped,
          normal:
            estimate.normal.beside([*known.keys.map { |name| wishes[name] }, *machine.constants.values_at(*taped)], sds)
        )
      end

      # Whether a length is known as well as a tape tells it; nought of what may be missing says that it is.
      def self.taped?(machine, name)
        constant = machine.family.constant(name)
        constant.taped_sd.positive? && !(machine.constants[name].zero? && constant.range.min.zero?)
      end
      private_class_method :taped?

      def initialize(machine:, wishes:, limits:, taped:, normal:)
        @machine = machine
        @wishes = wishes
        @limits = limits
        @taped = taped
        @normal = normal
      end

      # The client as they are on the whole, at some marks of the machine as it is on the whole.
      def evaluation(indices)
        (@evaluations ||= {})[indices] ||= Evaluation.new(
          machine: machine,
          off: off,
          estimate: Body::Estimate.new(normal.first(Body::PARAMETERS.size)),
          wishes: wishes.wishing(**told_limits),
          indices: indices
        )
      end

      # What the block answers (numbers, of a mechanism and a place) and their slopes along everything that is known:
      # [numbers, rows]. What is placed stays where it is best for the client as they are on the whole; limits are what
      # they may well be, and not only what is told until they are measured.
      def slopes(indices)
        here = evaluation(indices)
        at =
          lambda do |values|
            wishes = here.wishes.wishing(**limits(values))
            mechanics = Mechanisms.for(machine, Body::Dimensions.new(*body(values)), wishes)
            yield(mechanics, mechanics.place(parameters(here, values)))
          end
        [at[normal.mean], Statistics::Gradient.of(normal.mean, along: moving, &at)]
      end

      # After a number that lies here at the mean, with these slopes, was seen over `at` (side +1) or under it (-1),
      # blurred by sd.
      def bounded(row, here:, at:, sd:, side:)
        value = at - here + normal.expected(row)
        learned(normal.observe_bound(row: row, value: value, sd: sd, side: side))
      end

      # P(such a number is seen so)
      def probability(row, here:, at:, sd:, side:)
        spread = Math.sqrt(normal.variance(row) + (sd**2))
        Statistics::Gaussian.cumulative(side * (here - at), mean: 0.0, sd: spread)
      end

      private

      def learned(normal)
        Knowledge.new(machine: machine, wishes: wishes, limits: @limits, taped: @taped, normal: normal)
      end

      def body(values) = values.first(Body::PARAMETERS.size)

      def limits(values) = @limits.zip(values[Body::PARAMETERS.size, @limits.size]).to_h

      # Nobody is let past what holds until it is measured, whatever was not seen.
      def told_limits = limits(normal.mean).to_h { |name, deg| [name, [deg, wishes[name]].min] }

      def constants(values) = @taped.zip(values.last(@taped.size)).to_h

      # By how much the machine differs from its tape, on the whole.
      def off = constants(normal.mean).to_h { |name, value| [name, value - machine.constants[name]] }

      # Of the machine as it is on the whole, with what is varied of it.
      def parameters(here, values)
        means = constants(normal.mean)
        here.parameters.merge(constants(values)) { |name, at_marks, value| at_marks + value - means[name] }
      end

      # Which of all are worth varying.
      def moving
        @moving ||= [
          *Mechanisms.of(machine)::BODY_PARAMETERS.map { |name| Body::PARAMETERS.index(name) },
          *(Body::PARAMETERS.size...normal.mean.size)
        ]
      end
    end
  end
end
