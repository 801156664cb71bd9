# frozen_string_literal: true

module Verglas
  module Machines
    # The words in which a family declares itself, one row a thing (docs/architecture.md, "Adding a family"). What is asked of it
    # and not said stops it from loading: ArgumentError, with what is missing.
    class Declaration
      # Answered by every family, for cautions ask.
      ASKED = Tables[:tags][:asked].map { |row| row[:name].to_sym }.freeze
      # Said where they hold; signs and house rules go by them.
      SAID = Tables[:tags][:said].map { |row| row[:name].to_sym }.freeze
      # What a family that says yes to these moves or holds.
      LOADED = Tables[:tags][:asked].select { |row| row[:motions] }.to_h { |row| [row[:name].to_sym, row[:motions].map(&:to_sym)] }.freeze
      ACTIONS = Tables[:tags][:actions].map { |row| row[:name].to_sym }.freeze
      # {limit => degrees} that hold until somebody measured it.
      USUAL = Tables[:limits][:limits].to_h { |row| [row[:name].to_sym, row[:default]] }.freeze
      BANDS = Band.table(Tables[:bands][:bands])

      # The family that the block declares.
      def self.family(id, mechanism:, traits:, &block)
        declaration = new(id, mechanism, traits)
        declaration.instance_exec(&block)
        declaration.family
      end

      def initialize(id, mechanism, traits)
        @id = id
        @mechanism = mechanism
        @traits = traits.freeze
        @tags = SAID.to_h { |tag| [tag, false] }
        @constants = {}
        @kinds = {}
        @wishes = {}
        @choices = {}
        @joints = {}
        @findings = {}
      end

      def action(name)
        missing("an action of core/data/tags.yml", [name] - ACTIONS)
        @action = name
        @tags[name] = true
      end

      def purpose(name) = @purpose = name

      def tags(yes: [], no: [])
        missing("tags of core/data/tags.yml", [*yes, *no] - ASKED - SAID)
        missing("one answer a tag", yes & no)
        yes.each { |tag| @tags[tag] = true }
        no.each { |tag| @tags[tag] = false }
      end

      # One of mm:, deg:, kg:, count: or ratio: is the possible range; tape: the two points of the picture between which it is taped, or
      # an angle's vertex, the line from which it counts and its arm; none for what is read off the machine.
      def constant(name, usual:, group:, tape: [], default: nil, optional: false, **possible)
        missing("a unit of #{Constant::UNITS.join(", ")}", possible.keys - Constant::UNITS)
        unit, range = possible.first
        once(@constants, name, Constant.new(unit: unit, range: range, usual: usual, default: default, group: group, tape: tape.freeze, optional: optional))
      end

      def adjuster(name, drives:, decides:, stage:, unit: :mm, beside: {}, first: false)
        once(@kinds, name, AdjusterKind.new(name: name, unit: unit, drives: drives.freeze, decides: decides, beside: beside.freeze, stage: stage, first: first))
      end

      # Without a default: what is usual of the limit as which it is measured, which may be nothing.
      def wish(name, stricter: nil, measured_as: nil, default: USUAL.fetch(measured_as))
        once(@wishes, name, Wish.new(name: name, default: default&.to_f, stricter: stricter, measured_as: measured_as))
      end

      def choice(name, how:, makers: false, mends: [], stage: nil, step: nil, most: nil)
        missing("the most of it", how == :added && most.nil? ? [name] : [])
        once(@choices, name, Choice.new(name: name, how: how, makers: makers, mends: [*mends].freeze, stage: stage, step: step, most: most))
      end

      # One that moves: its ends, and with whose constants its angles are computed beside the joint's. held: {deg:, soft_to_deg:} where the machine holds
      # it instead; by_eye: why no angle of it is claimed.
      def joint(motion, forced: [], free: [], stop: nil, group: :joint, by_eye: nil, **held)
        missing("where a joint is held", held.keys - %i[held_deg soft_to_deg])
        row = { forced: [*forced].freeze, free: [*free].freeze, stop: stop, groups: [:joint, group].uniq.freeze, by_eye: by_eye, held_deg: nil, soft_to_deg: nil, **held }
        once(@joints, motion, JointMotion.new(motion: motion, **row))
      end

      # Somebody sits: how high, over the floor. What a low seat does is a caution's affair, and no mark's.
      def sits = constant(:seat_height, mm: 100..1200, usual: 350..620, group: nil, optional: true)

      # What is left of the movement: told where it is little, never a reason for a mark.
      def range_found(rests_on:, group: :joint, band: :range_left)
        finding :range_left, band: band, graded: :range_left_deg, group: group, rests_on: rests_on, set_by: [], mends: [nil, nil], never: %i[no_range past_own_range], weighs: false,
                             quiet: true
      end

      def finding(code, graded:, group:, rests_on:, set_by:, mends:, band: code, shown: nil, plane: nil, never: [], guarded: {}, by_hand: {}, where_driven: nil, weighs: true, quiet: false) # rubocop:disable Metrics/ParameterLists -- a row has as many columns as there is to say
        missing("a band of core/data/bands.yml", [band] - BANDS.keys)
        once(@findings, code, FindingKind.new(code: code, band: BANDS.fetch(band), graded: graded, shown: shown, group: group, plane: plane, rests_on: rests_on.freeze, set_by: set_by.freeze,
                                              mends: mends.freeze, never: never.freeze, guarded: guarded.freeze, by_hand: by_hand.freeze, where_driven: where_driven,
                                              weighs: weighs, quiet: quiet))
      end

      def family
        check
        Family.new(id: @id, mechanism: @mechanism, traits: @traits, action: @action, purpose: @purpose, tags: @tags.freeze, constants: @constants.partition do |_, constant|
          !constant.optional
        end.flatten(1).to_h.freeze, groups: groups,
                   kinds: @kinds.freeze, wishes: @wishes.freeze, choices: @choices.freeze, joints: @joints.freeze, findings: @findings.freeze)
      end

      private

      def once(rows, name, row)
        raise ArgumentError, "#{@id} says twice what #{name} is" if rows.key?(name)

        rows[name] = row
      end

      def groups
        named = @constants.each_key.group_by { |name| @constants[name].group }.except(nil).transform_values(&:freeze)
        named.sort_by.with_index { |(name, _), index| [name == :joint ? 0 : 1, index] }.to_h.freeze
      end

      def check
        missing("an action", @action ? [] : [:action])
        missing("a purpose", @purpose ? [] : [:purpose])
        missing("an answer, yes or no, to every tag that cautions ask", ASKED - @tags.keys)
        missing("a body's motions", @joints.keys - Body::Envelope::MOTIONS)
        @constants.each { |name, constant| missing("a usual range within the possible one", constant.range.cover?(constant.usual) ? [] : [name]) }
        check_references
      end

      def check_references
        missing("its own constants", [*@kinds.values.flat_map { |kind| kind.drives.keys }, *@findings.values.flat_map(&:rests_on), *@joints.values.filter_map(&:stop),
                                      *@findings.values.filter_map(&:where_driven)] - @constants.keys)
        missing("its own groups", @findings.values.map(&:group) - groups.keys)
        missing("its own findings", @choices.values.flat_map(&:mends) - @findings.keys)
        missing("a motion of each joint that it says it loads", LOADED.reject { |tag, motions| !@tags[tag] || @joints.keys.intersect?(motions) }.keys)
        missing("its own kinds of adjusters", @kinds.values.flat_map { |kind| kind.beside.keys } - @kinds.keys)
      end

      def missing(what, names)
        raise ArgumentError, "#{@id} needs #{what}, which #{names.uniq.join(", ")} is not" if names.any?
      end
    end
  end
end
