# frozen_string_literal: true

module Verglas
  module Mechanisms
    # What the solver, the bench and the picture ask of a family's physics, for one exact body with certain wishes: the contract.
    # A mechanism answers it method by method; spec/contracts/mechanism.rb holds every one to it. Its own frame: mm, degrees.
    #   RULES             {decision => Rule}: where each adjuster should stand
    #   BODY_PARAMETERS   the body's parameters that anything here depends on
    #   TRAITS            what a family has to say of itself beside its rows
    class Mechanism
      RULES = {}.freeze
      BODY_PARAMETERS = [].freeze
      TRAITS = [].freeze
      # Two angles that come of different sums are one within this.
      ALIKE_DEG = 1e-6
      attr_reader :family, :body, :wishes

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
      def settling(choices) = (@settling ||= {})[choices] ||= self.class.new(machine: @machine, body: body, wishes: wishes.wishing(**choices))

      # A Place at some parameters; standing: another with the same joint, so that it is not worked out again.
      def place(parameters, standing: nil) = Place.new(parameters, standing ? standing.joint : told_joint(parameters))

      # Where the joint is (Point); nil where the mechanism fits none to a pivot. Asked only where the joint's constants are known.
      def joint(_parameters) = nil

      # The findings of one group, those that its constants suffice for.
      def findings(_group, _place) = raise(NotImplementedError)

      # {name => number} of one group, the unit in the name.
      def quantities_of(_group, _place) = raise(NotImplementedError)

      # What the solver has to keep to before anything else, smaller is better; and further keys, smaller is better, after the worst severity and before the number of findings that have it.
      def precedence(_place) = []
      def preference(_place) = []

      # The size (mm) of a computed choice, among those that exist.
      def choose(_choice, _sizes_mm) = 0.0

      # {placed choice => number}: where those that nobody has made are best at a place; and the least and the greatest that can be.
      def settled(_place) = {}
      def span(_choice, _place) = raise(NotImplementedError)

      # {limit of the client => degrees} that is read off the machine where somebody sees it reached, at a share of the movement: 0 where
      # it turns, 1 at its other end.
      def limits_at(_place, _share) = {}

      # The joint that leads a rising and its two ends (Quickening::Lead), nil where no movement is told; at which share of the movement it is bent
      # so far; and, where an arc is drawn, draws a rising that is slow up to there and answers the number beside it (Scenes::Dimension).
      def lead(_place) = nil
      def share_at(place, deg) = lead(place).share(deg)
      def draw_slow(_sketch, _place, _deg) = nil

      # What a document of an evaluation tells at its top (Formats::Answers): {name => number, text or the like}, units in the names.
      def report(_place) = {}

      # The decision whose mark such a document tells beside them; nil: of the only adjuster.
      def decides_alone = nil

      # {motion => [Reached]}: each joint at the ends of the movement.
      def ranges(_place) = {}

      # How much of its movement is left to the joint that leads it (degrees), less than nothing where its ends have passed one another; nil where
      # no movement is told.
      def range_left_deg(_place) = nil

      # A finding as a Says, of every mechanism in the same words where the finding is everybody's.
      def tell(finding, place)
        return says(finding, place) unless finding.code == :range_left

        Says.of("says.range_left.#{finding.fault || (finding.severity.zero? ? :right : :little)}", deg: [finding.value, 0.0].max.round)
      end

      # Whether its number is graded, and not only told.
      def graded?(_finding) = true

      # The same of what is left to the hand.
      def tell_by_hand(code) = Says.of("says.#{code}.by_hand")

      # A finding of its own as a Says; what an adjuster's step would show, in a few words ("" where nothing is told).
      def says(_finding, _place) = raise(NotImplementedError)
      def short(_decision, _place) = nil

      # What a client is told to keep to at a place, as a Says or several: where the movement starts, where the client's own range says so, and where it
      # ends; nil where nothing is told. Whether it is the client's own range, and not the house rule, that ends it.
      def starts_says(_place) = nil
      def ends_says(_place) = nil
      def end_limited? = false

      # Numbers that the steps in words may use at a place; the words of a decision, where they are not its own name.
      def step_numbers(_place) = {}
      def step_words(decision) = decision

      # What is said before anybody gets on, as Says.
      def warnings = []

      # What may become harder where body weight is the load (Rung), easiest first.
      def rungs = []

      # How far from the joint the load meets the leg (mm); nil where no pad carries it there. One load asks the same of the joint at any of
      # them, and presses the leg the more the shorter it is.
      def lever_mm(_place) = nil

      # What else is done on the machine, as Says; without: names of what a caution takes away.
      def asides(_place, without: []) = [] # rubocop:disable Lint/UnusedMethodArgument -- the contract names it

      # What the movement does, {part => Says}; nil where nothing is told of it.
      def motion(_place) = nil

      # Which way the frame's +n points: 1 up, -1 down; and what lies behind and before a pivot is called (two Says).
      def up = 1
      def sides = []

      # Where of the movement the picture shows it: :start, :bottom, :top, or :above where it is seen from there at the start; and what the two
      # ends of a movement that is moved by hand are called.
      def pictured_at = :start
      def travel_words = %i[bottom top]

      # The picture (Scenes::Scene); nil where too little is taped to draw it.
      def scene(_place) = nil

      # The same as the machine stands by itself, for taping it.
      def scene_at_rest(place) = scene(place)

      # What an accepted fitting that was checked by eye teaches of the body (Body::CheckedFitting); nil where nothing.
      def lesson(_place, **) = nil

      # Whether any such fitting can.
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

      # Some of them, in the order of their names: how sure they are is asked of some twenty bodies and machines. A mechanism answers what
      # findings stand on by itself where the others cost much.
      def numbers(names, place) = quantities(place).values_at(*names)

      # Where an adjuster should stand, nil where what is preferred decides; and where a place has it (mm or degrees).
      def required(decision, place) = self.class::RULES.fetch(decision).required&.call(self, place)
      def position(decision, place) = self.class::RULES.fetch(decision).position.call(place)

      private

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
        ranges(place).all? { |motion, ends| ends.reject(&:forced).all? { |reached| (wishes.clamp(motion, reached.deg) - reached.deg).abs <= ALIKE_DEG } }
      end

      # Whole degrees as they are told: never more than an upper limit allows, never less than a lower one asks.
      def at_most(deg) = (deg + ALIKE_DEG).floor
      def at_least(deg) = (deg - ALIKE_DEG).ceil
      def told?(group = :joint) = family.told.include?(group)

      def told_joint(parameters) = (joint(parameters) if @told.include?(:joint))

      # value: what is told; graded: what the band is asked about.
      def grade(code, value, graded = value, fault = nil)
        band = band(code)
        Finding.new(code, value, graded, fault ? 3 : band.severity(graded), band.cost(graded), fault).freeze
      end

      def band(code) = @kinds.fetch(code).band
    end
  end
end
