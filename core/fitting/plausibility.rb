# frozen_string_literal: true

module Verglas
  module Fitting
    # Whether the lengths of a machine, as far as it is taped, make sense: each in itself, in their order, and together,
    # for a machine was built for people. What is remarked is no error: it is asked about, and stands when confirmed.
    module Plausibility
      # code; constants: whose lengths to read again; params: numbers for words (mm, degrees).
      Remark = Value.define(:code, :constants, :params)

      # A finding wants to be close or better for this share of people (working figure): a slip of 100 mm nearly always
      # costs more.
      FEWEST = 0.65

      module_function

      def of(machine) = [*unusual(machine), *disorder(machine), *fits_few(machine)]

      # A constant outside the usual range of its family.
      def unusual(machine)
        machine.constants.filter_map do |name, value|
          usual = machine.family.constant(name).usual
          unless usual.cover?(value)
            Remark.new(code: :unusual, constants: [name], params: { value: value, low: usual.min, high: usual.max })
          end
        end
      end

      # What its mechanism finds odd: ends that lie on the wrong side of one another.
      def disorder(machine)
        Mechanisms
          .of(machine)
          .disorder(machine)
          .map { |code, constants| Remark.new(code: code, constants: constants, params: {}) }
      end

      # A finding that is off for too many of the usual statures, each at the marks which suit them best.
      def fits_few(machine)
        errors = Body::People.range.map { |estimate| errors(machine, estimate) }
        machine.family.findings.keys.filter_map do |code|
          off = errors.filter_map { |found| found[code] }.reject(&:zero?) # an end that nothing sets is not graded
          few(machine, code, off, errors.size) unless errors.size - off.size >= FEWEST * errors.size
        end
      end

      # {finding => how far outside its close band: below it negative, above it positive, inside 0}
      def errors(machine, estimate)
        wishes = Mechanisms::Wishes.for(machine.family)
        indices = Solver.new(machine: machine, body: estimate.dimensions, wishes: wishes).solutions.first.indices
        mechanics = Mechanisms.for(machine, estimate.dimensions, wishes)
        mechanics
          .all_findings(mechanics.place(machine.parameters(indices)))
          .to_h { |finding| [finding.code, error(finding, machine.family.findings.fetch(finding.code).band)] }
      end

      def error(finding, band)
        return 0 if finding.severity < 2

        band.shortfall(finding.graded) * (finding.graded <=> band.target)
      end

      def few(machine, finding, off, tried)
        Remark.new(
          code: :fits_few,
          constants: machine.family.findings.fetch(finding).rests_on,
          params: {
            finding: finding,
            off: off.size,
            tried: tried,
            least: off.min_by(&:abs)
          }
        )
      end
      private_class_method :errors, :error, :few
    end
  end
end
