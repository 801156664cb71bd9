# frozen_string_literal: true

module Verglas
  module Mechanisms
    # The physics of a family, for one exact body with certain wishes, in the mechanism's own frame (mm; degrees as the
    # frame says). It answers the solver, the bench, its picture (Scenes) and its words (Telling); it draws and words
    # nothing itself. spec/contracts/mechanism.rb holds every one to what stands here.
    #
    # A subclass declares
    #   RULES             {decision => Rule}: where each adjuster should stand
    #   BODY_PARAMETERS   the body's parameters that anything here depends on
    #   TRAITS            what a family has to say of itself beside its rows
    # and answers those of the following that differ from what stands below:
    #   the joint      joint
    #   what is graded findings, quantities_of, graded?, severity
    #   the choice     precedence, preference, choose, settled, span
    #   the movement   ranges, range_left_deg, end_limited?, lead, share_at, limits_at, efforts, slack_share,
    #                 laid
    #   what is seen  shown, agreed
    #   the load       lever_mm, rungs
    #   what is learned  lesson, teaches?
    class Mechanism
      RULES = {}.freeze
      BODY_PARAMETERS = [].freeze
      TRAITS = [].freeze
      # Two angles that come of different sums are one within this.
      ALIKE_DEG = 1e-6
      attr_reader :machine, :family, :body, :wishes

      # Whether a machine takes a choice that its maker allows (Machines::Choice).
      def self.takes?(_machine, _choice) = true

      # What is odd about a machine's lengths besides each in itself: [[code, constants], ...].
      def self.disorder(_machine) = []

      # machine: for its family and what its adjusters move; body: Body::Dimensions; wishes: Wishes.
      def initialize(machine:, body:, wishes:)
        @machine = machine
        @family = machine.family
        @body = body
        @wishes = wishes
        @told = family.told
        @kinds = family.findings
      end

      # The same with what is placed settled so ({choice => number}); one for all who ask.
      def settling(choices)
        (@settling ||= {})[choices] ||= self.class.new(machine: machine, body: body, wishes: wishes.wishing(**choices))
      end

      # A Place at some parameters ({constant => mm or degrees}); standing: another with the same joint, so that it is
      # not worked out again.
      def place(parameters, standing: nil) = Place.new(parameters, standing ? standing.joint : told_joint(parameters))

      # Where the joint is: a Point (mm) of the mechanism's frame; nil where it fits none to a pivot. Asked only where
      # the joint's constants are known.
      def joint(_parameters) = nil

      # Of the range, what is gone through today (0 to 1), counted from its easy end; a bend of today between that end
      # and the whole range's other one (degrees).
      def range_share = wishes.values.fetch(:range_share, 1.0)
      def grown?(share = range_share) = share >= 1
      def today_deg(easy_deg, whole_deg) = easy_deg + (range_share * (whole_deg - easy_deg))

      # Which way the frame's +n points: 1 up, -1 down.
      def up = 1

      # Findings of one group, those that its constants suffice for.
      def findings(_group, _place) = raise(NotImplementedError)

      # {name => number} of one group, the unit in the name.
      def quantities_of(_group, _place) = raise(NotImplementedError)

      # Whether a finding's number is graded, and not only told.
      def graded?(_finding) = true

      # How bad a number of a finding is (0 in line, 1 close, 2 off), where it is no fault.
      def severity(code, graded) = band(code).severity(graded)

      # What the solver has to keep to before anything else; and further keys, after the worst severity and before the
      # number of findings that have it. Smaller is better.
      def precedence(_place) = []
      def preference(_place) = []

      # The size (mm) of a computed choice, among those that exist.
      def choose(_choice, _sizes_mm) = 0.0

      # {placed choice => number}: where those that nobody has made are best at a place; and the least and the greatest
      # of one.
      def settled(_place) = {}
      def span(_choice, _place) = raise(NotImplementedError)

      # {motion => [Reached]}: each joint at the ends of the movement.
      def ranges(_place) = {}

      # How much of its movement is left to the joint that leads it (degrees), less than nothing where its ends have
      # passed one another; nil where no movement is told.
      def range_left_deg(_place) = nil

      # Whether it is the client's own range, and not the house rule, that ends the movement.
      def end_limited? = false

      # The joint that leads a rising and its two ends (Lead); nil where no movement is told. At which share of the
      # movement, 0 where it turns and 1 at its other end, that joint is bent so far.
      def lead(_place) = nil
      def share_at(place, deg) = lead(place).share(deg)

      # What one load asks of each joint along the movement, {joint => [[share of the movement, effort]]}: on an arm as
      # a share of what it asks in the middle of the arc, elsewhere of the most. Past a share of 1 where the machine
      # goes further than the client. nil where nothing is told of it, or it is told in N m (Scenes::Curve).
      def efforts(_place) = nil

      # Where a phone lies that reads the movement (Motion::Laid); nil where none can.
      def laid(_place) = nil

      # From which share of the movement the load goes slack; nil where it does not.
      def slack_share(_place) = nil

      # {limit of the client => degrees} that is read off the machine where somebody sees it reached, at a share of the
      # movement as in share_at.
      def limits_at(_place, _share) = {}

      # What somebody who watches goes by (core/data/signs.yml): one of the quantities, or a number that is only seen;
      # nil where it is not told. agreed: how far the client was asked to go, as `agreed` says it of the body that the
      # asking rested on: another body goes as far, whatever its own limits are.
      def shown(number, place, _agreed) = quantities(place)[number]
      def agreed(_place) = nil

      # How far from the joint the load meets the leg (mm); nil where no pad carries it there. One load asks the same of
      # the joint at any of them, and presses the leg the more the shorter it is.
      def lever_mm(_place) = nil

      # What may become harder where body weight is the load (Rung), easiest first.
      def rungs(_bands_n = []) = []

      # What an accepted fitting that was checked by eye teaches of the body (Body::CheckedFitting); nil where nothing.
      # Whether any such fitting can.
      def lesson(_place, **) = nil
      def teaches? = false

      # All that can be told, in the family's order.
      def all_findings(place)
        return [] if @kinds.empty?

        order = @kinds.keys
        @told.flat_map { |group| findings(group, place) }.sort_by { |finding| order.index(finding.code) }
      end

      # Every number that can be told, by name.
      def quantities(place)
        return {} if @kinds.empty?

        place.once(:quantities) { @told.each_with_object({}) { |group, all| all.update(quantities_of(group, place)) } }
      end

      # Some of them, in the order of their names: how sure they are is asked of some twenty bodies and machines. A
      # mechanism answers what findings stand on by itself where the others cost much.
      def numbers(names, place) = quantities(place).values_at(*names)

      # Where an adjuster should stand, nil where what is preferred decides; and where a place has it (mm or degrees).
      def required(decision, place) = self.class::RULES.fetch(decision).required&.call(self, place)
      def position(decision, place) = self.class::RULES.fetch(decision).position.call(place)

      # Whether a group's constants are known; the Band of a finding.
      def told?(group = :joint) = @told.include?(group)
      def band(code) = @kinds.fetch(code).band

      # For efforts: at so many shares.
      EFFORTS = 17

      private

      # One load on lever arms, {joint => mm} at a share, as shares of the longest of them.
      def of_the_longest
        shares = Array.new(EFFORTS) { |index| index / (EFFORTS - 1.0) }
        levers = shares.map { |share| yield(share).transform_values { |mm| [mm, 0.0].max } }
        longest = levers.flat_map(&:values).max
        return if longest.zero?

        levers.first.keys.to_h { |joint| [joint, shares.zip(levers).map { |share, at| [share, at[joint] / longest] }] }
      end

      # What is left of the movement, and whether it keeps within the client's own where the client decides.
      def range_left(place)
        left = range_left_deg(place)
        grade(:range_left, left, left, range_left_fault(left, place))
      end

      def range_left_fault(left, place)
        return :past_own_range unless kept?(place)

        :no_range if left < band(:range_left).close.min
      end

      # Whether all that the client decides stays within their own range.
      def kept?(place)
        ranges(place).all? do |motion, ends|
          ends.reject(&:forced).all? { |reached| (wishes.clamp(motion, reached.deg) - reached.deg).abs <= ALIKE_DEG }
        end
      end

      def told_joint(parameters) = (joint(parameters) if told?)

      # value: what is told; graded: what the band is asked about.
      def grade(code, value, graded = value, fault = nil)
        band = band(code)
        Finding.new(code, value, graded, fault ? 3 : band.severity(graded), band.cost(graded), fault).freeze
      end
    end
  end
end
