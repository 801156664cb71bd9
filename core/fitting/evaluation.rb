# frozen_string_literal: true

module Verglas
  module Fitting
    # A body, known as well as it is, at given marks of a machine: every number with its SD, every finding with the
    # probability of its band. SD = sqrt(g P g') and the taped constants' own. docs/model.md sections 1 and 3.
    class Evaluation
      # A finding together with how likely its band is, the body being uncertain; by_hand where the body is known too
      # loosely to grade it at all.
      Graded = Struct.new(:finding, :probability, :by_hand) { def likely? = probability < 0.5 }

      attr_reader :machine, :estimate, :indices, :parameters

      # unplaced: the mechanics of this body and these wishes, before what is open is placed, where somebody has them
      # already; off: {constant => mm or degrees} by which the machine is thought to differ from its tape.
      def initialize(machine:, estimate:, wishes:, indices:, unplaced: nil, off: {})
        @machine = machine
        @off = off
        @unplaced = unplaced
        @estimate = estimate
        @given = wishes
        @indices = indices
        @parameters = machine.parameters(indices).merge(off) { |_, taped, more| taped + more }
      end

      # What is aimed at; a placed choice that nobody has made stands where it is best at these marks, for this body as
      # it is on the whole: how sure the numbers are is asked of that one place.
      def wishes = mechanics.wishes

      # The same body under the same wishes at other marks.
      def at(indices)
        self.class.new(
          machine: machine,
          estimate: estimate,
          wishes: @given,
          indices: indices,
          unplaced: unplaced,
          off: @off
        )
      end

      # The same at the same marks, with a choice placed elsewhere.
      def placing(choice, value)
        self.class.new(
          machine: machine,
          estimate: estimate,
          wishes: wishes.wishing(choice => value),
          indices: indices,
          off: @off
        )
      end

      def mechanics
        @mechanics ||= open_places? ? unplaced.settling(unplaced.settled(unplaced.place(parameters))) : unplaced
      end
      # What is said of it, and how it is drawn.
      def voice = @voice ||= Telling.of(mechanics, place)
      def picture = @picture ||= Scenes.of(mechanics, place)

      def marks = machine.marks(indices)
      def place = @place ||= mechanics.place(parameters)
      def quantities = @quantities ||= mechanics.quantities(place)
      def findings = @findings ||= mechanics.all_findings(place)

      # nil where it is not told.
      def finding(code) = findings.find { |finding| finding.code == code }
      def kind(code) = machine.family.findings.fetch(code)

      # Of everything that can be graded.
      def score = @score ||= Score.of(findings.reject { |finding| by_hand.include?(finding.code) })

      # nil where nothing is taped, so that nothing is claimed.
      def grade = findings.empty? ? nil : Machines::SEVERITIES[score.worst]

      # Whether the grade is no more than likely: in line has to be so of every number, anything worse of one.
      def likely?
        known = graded.reject(&:by_hand)
        deciding = known.select { |one| one.finding.severity == score.worst }
        score.worst.zero? ? known.any?(&:likely?) : deciding.all?(&:likely?)
      end

      # Codes of findings that a body known this well cannot grade.
      def by_hand
        @by_hand ||= machine.family.findings.each_value.select { |kind| kind.by_hand?(estimate) }.map(&:code)
      end

      # SD of a quantity, body and taped constants together; nine in ten lie in the interval [low, high].
      def sd(name) = (@sds ||= {})[name] ||= Math.sqrt(variance(name, name) + taped_covariance(name, name))

      def interval(name)
        half = Statistics::Gaussian::INTERVAL * sd(name)
        [quantities[name] - half, quantities[name] + half]
      end

      # All of them, {quantity => ...}.
      def sds = quantities.keys.to_h { |name| [name, sd(name)] }
      def intervals = quantities.keys.to_h { |name| [name, interval(name)] }

      # SD of the body's share alone.
      def body_sd(name) = Math.sqrt([variance(name, name), 0.0].max)

      def graded
        @graded ||= findings.map { |finding| Graded.new(finding, probability(finding), by_hand.include?(finding.code)) }
      end

      # Those that are worth saying: what is quiet only where it is not in line.
      def told = graded.reject { |graded| graded.finding.severity.zero? && kind(graded.finding.code).quiet }

      # The family's finding in a plane; nil where it fits no joint to a place.
      def plane = machine.family.findings.each_value.find(&:plane?)

      # Of a finding in a plane: its two numbers as a Point (mm, the machine's own frame), and their covariance, body
      # and taped constants together, as [[along, both], [both, across]] (mm^2).
      def place_of(code) = Geometry::Point.new(*quantities.values_at(*kind(code).plane))

      def covariance_of(code)
        (@covariances ||= {})[code] ||= begin
          one, other = kind(code).plane
          both = variance(one, other) + taped_covariance(one, other)
          [[sd(one)**2, both], [both, sd(other)**2]]
        end
      end

      # P(|e| <= radius)
      def plane_probability(code, radius_mm)
        (along, both), (_, across) = covariance_of(code)
        Statistics::Gaussian.disc_probability(
          mean: place_of(code),
          variance_s: along,
          variance_n: across,
          covariance: both,
          radius: radius_mm.to_f
        )
      end

      # P(the graded number lies in a range)
      def within(finding, range)
        kind = kind(finding.code)
        return plane_probability(finding.code, range.max) if kind.plane?

        Statistics::Gaussian.between(range.min, range.max, mean: finding.graded, sd: sd(kind.graded))
      end

      private

      # Whether something is placed that nobody has placed yet; where too little is taped nothing is.
      def open_places? = @given.values.value?(nil) && !machine.family.findings.empty?

      def unplaced = @unplaced ||= Mechanisms.for(machine, estimate.dimensions, @given)
      def mechanics_for(body) = Mechanisms.for(machine, body, wishes)
      def numbers(names, mechanics, parameters) = mechanics.numbers(names, mechanics.place(parameters))

      def probability(finding)
        band = kind(finding.code).band
        share =
          case finding.severity
          when 0
            within(finding, band.in_line)
          when 1
            within(finding, band.close) - within(finding, band.in_line)
          else
            1 - within(finding, band.close)
          end
        share.clamp(0.0, 1.0)
      end

      def variance(one, other) = estimate.normal.covariance_of(body_gradient(one), body_gradient(other))

      def taped_covariance(one, other)
        mine, theirs = [one, other].map { |name| taped_gradient(name) }
        taped_variances.each_with_index.sum { |variance, index| mine[index] * theirs[index] * variance }
      end

      def taped_variances = @taped_variances ||= taped.map { |name| machine.family.constant(name).taped_sd**2 }

      # Constants that were taped: what is read off the machine is known.
      def taped = @taped ||= machine.constants.keys.select { |name| machine.family.constant(name).taped_sd.positive? }

      def body_gradient(name)
        gradient_in(@body_gradients ||= {}, name) do |names|
          estimate.gradients(along: mechanics.class::BODY_PARAMETERS) do |body|
            numbers(names, mechanics_for(body), parameters)
          end
        end
      end

      def taped_gradient(name)
        gradient_in(@taped_gradients ||= {}, name) do |names|
          Statistics::Gradient.onwards(parameters.values_at(*taped), here: quantities.values_at(*names)) do |values|
            numbers(names, mechanics, parameters.merge(taped.zip(values).to_h))
          end
        end
      end

      # The slopes of a quantity, out of those that are kept. What findings stand on is worked out together, and
      # everything else.
      def gradient_in(kept, name)
        kept.fetch(name) do
          names = quantities.keys.partition { |one| graded_on.include?(one) }.find { |some| some.include?(name) }
          kept.update(names.zip(yield(names)).to_h)[name]
        end
      end

      def graded_on = @graded_on ||= machine.family.findings.each_value.flat_map(&:quantities)
    end
  end
end
