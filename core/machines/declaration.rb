# frozen_string_literal: true

module Verglas
  module Machines
    # The words in which a family declares itself, one row a thing (docs/architecture.md, "Adding a family"). What is
    # asked of it and not said stops it from loading: ArgumentError, with what is missing.
    class Declaration
      # Answered by every family, for cautions ask.
      ASKED = Tables[:tags][:asked].map { |row| row[:name] }.freeze
      # Said where they hold; signs and house rules go by them.
      SAID = Tables[:tags][:said].map { |row| row[:name] }.freeze
      # What a family that says yes to these moves or holds.
      LOADED =
        Tables[:tags][:asked].select { |row| row[:motions].any? }.to_h { |row| row.values_at(:name, :motions) }.freeze
      ACTIONS = Tables[:tags][:actions].map { |row| row[:name] }.freeze
      # {limit => degrees} that hold until somebody measured it.
      USUAL = Tables[:limits][:limits].to_h { |row| row.values_at(:name, :default) }.freeze
      BANDS = Band.table(Tables[:bands][:bands])

      # What the block declares: the family, and the names in it that stand elsewhere (Tables::Reference).
      def self.of(id, mechanism:, traits:, &block)
        new(id, mechanism, traits).tap { |declaration| declaration.instance_exec(&block) }
      end

      attr_reader :references

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
        @references = []
      end

      # beside: actions of what else is done on its machines, so that what cautions do to those holds of it too.
      def action(name, beside: [])
        [name, *beside].each do |one|
          known(one, "action", ACTIONS)
          @tags[one] = true
        end
        @action = name
      end

      def purpose(name) = @purpose = name

      def tags(yes: [], no: [])
        [*yes, *no].each { |tag| known(tag, "tag", ASKED + SAID) }
        missing("one answer a tag", yes & no)
        yes.each { |tag| @tags[tag] = true }
        no.each { |tag| @tags[tag] = false }
      end

      # One of mm:, deg:, kg:, count: or ratio: is the possible range; tape: the two points of the picture between which
      # it is taped, or an angle's vertex, the line from which it counts and its arm; none for what is read off the
      # machine.
      def constant(name, usual:, group:, tape: [], default: nil, optional: false, **possible)
        unit, range = possible.first
        known(unit, "unit of a constant", Constant::UNITS)
        known(group, "group", [*Constant::GROUPS, nil])
        known(tape.size, "number of points between which #{unit} are taped", [*Constant::POINTS[unit], 0])
        once(
          @constants,
          name,
          Constant.new(
            unit: unit,
            range: range,
            usual: usual,
            default: default,
            group: group,
            tape: tape.freeze,
            optional: optional
          )
        )
      end

      def adjuster(name, drives:, decides:, stage:, unit: :mm, beside: {}, first: false)
        known(unit, "unit of an adjuster", AdjusterKind::UNITS)
        drives.each_key { |constant| refer("constant of #{@id}", constant) }
        beside.each_key { |kind| refer("kind of adjuster of #{@id}", kind) }
        [*decides, *beside.values].each { |decision| refer("rule of #{@mechanism}", decision) }
        refer(:stage, stage)
        apart(name, drives)
        once(
          @kinds,
          name,
          AdjusterKind.new(
            name: name,
            unit: unit,
            drives: drives.freeze,
            decides: decides,
            beside: beside.freeze,
            stage: stage,
            first: first
          )
        )
      end

      # Without a default: what is usual of the limit as which it is measured, which may be nothing.
      def wish(name, stricter: nil, measured_as: nil, **usual)
        known(stricter, "stricter of two", [nil, :min, :max])
        known(measured_as, "limit", [nil, *USUAL.keys])
        known(usual.keys.first, "column of a wish", [nil, :default])
        default = usual.fetch(:default) { USUAL.fetch(measured_as) }
        once(@wishes, name, Wish.new(name: name, default: default&.to_f, stricter: stricter, measured_as: measured_as))
      end

      # rubocop:disable Metrics/ParameterLists -- as many columns as there are to say
      def choice(name, how:, makers: false, mends: [], stage: nil, step: nil, most: nil, of: nil)
        # rubocop:enable Metrics/ParameterLists
        known(how, "way to choose", Choice::WAYS)
        known(of, "list of the gym's own", [nil, *Choice::LISTS])
        missing("the most of it", how == :added && most.nil? ? [name] : [])
        refer(:stage, stage) if stage
        [*mends].each { |code| refer("finding of #{@id}", code) }
        once(
          @choices,
          name,
          Choice.new(
            name: name,
            how: how,
            makers: makers,
            mends: [*mends].freeze,
            stage: stage,
            step: step,
            most: most,
            of: of
          )
        )
      end

      # One that moves: its ends, and with whose constants its angles are computed beside the joint's. held: {deg:,
      # soft_to_deg:} where the machine holds it instead; by_eye: why no angle of it is claimed.
      def joint(motion, forced: [], free: [], stop: nil, group: :joint, by_eye: nil, **held)
        held.each_key { |column| known(column, "column of a joint", %i[held_deg soft_to_deg]) }
        known(motion, "motion", Body::Envelope::MOTIONS)
        refer("group of #{@id}", group) unless group == :joint
        refer("constant of #{@id}", stop) if stop
        row = {
          forced: [*forced].freeze,
          free: [*free].freeze,
          stop: stop,
          groups: [:joint, group].uniq.freeze,
          by_eye: by_eye,
          held_deg: nil,
          soft_to_deg: nil,
          **held
        }
        once(@joints, motion, JointMotion.new(motion: motion, **row))
      end

      # Somebody sits: how high, over the floor. What a low seat does is a caution's affair, and no mark's.
      def sits = constant(:seat_height, mm: 100..1200, usual: 350..620, group: nil, optional: true)

      # Somebody new begins with a share of the range (1: all of it), counted from its easy end.
      def grows = wish(:range_share, default: 1, stricter: :min)

      # Shoes count with the foot.
      def shod = wish(:sole_mm, default: Tables[:press][:sole][:mm])

      # What the default school of a house rule aims at, by name.
      def usual_of(question, wish)
        row = Tables[:house_rules][:questions].find { |one| one[:name] == question }
        row[:schools].find { |school| school[:name] == row[:default] }[:wishes].fetch(wish)
      end

      # What is left of the movement: told where it is little, never a reason for a mark.
      def range_found(rests_on:, group: :joint, band: :range_left)
        finding :range_left,
                band: band,
                graded: :range_left_deg,
                group: group,
                rests_on: rests_on,
                set_by: [],
                mends: [nil, nil],
                never: %i[no_range past_own_range],
                weighs: false,
                quiet: true
      end

      def finding(
        code,
        graded:,
        group:,
        rests_on:,
        set_by:,
        mends:,
        band: code,
        shown: nil,
        plane: nil,
        never: [],
        guarded: {},
        by_hand: {},
        where_driven: nil,
        weighs: true,
        quiet: false
      ) # rubocop:disable Metrics/ParameterLists -- a row has as many columns as there is to say
        known(band, "band", BANDS.keys)
        refer("group of #{@id}", group)
        [*rests_on, *where_driven].each { |constant| refer("constant of #{@id}", constant) }
        set_by.each { |decision| refer("decision or step of #{@id}", decision) }
        guarded.each_value { |joint| refer(:joint, joint) }
        by_hand.each_key { |parameter| refer(:body_parameter, parameter) }
        once(
          @findings,
          code,
          FindingKind.new(
            code: code,
            band: BANDS.fetch(band),
            graded: graded,
            shown: shown,
            group: group,
            plane: plane,
            rests_on: rests_on.freeze,
            set_by: set_by.freeze,
            mends: mends.freeze,
            never: never.freeze,
            guarded: guarded.freeze,
            by_hand: by_hand.freeze,
            where_driven: where_driven,
            weighs: weighs,
            quiet: quiet
          )
        )
      end

      def family
        check
        Family.new(
          id: @id,
          mechanism: @mechanism,
          traits: @traits,
          action: @action,
          purpose: @purpose,
          tags: @tags.freeze,
          constants: @constants.partition { |_, constant| !constant.optional }.flatten(1).to_h.freeze,
          groups: groups,
          kinds: @kinds.freeze,
          wishes: @wishes.freeze,
          choices: @choices.freeze,
          joints: @joints.freeze,
          findings: @findings.freeze,
          emphasis: nil
        )
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
        @constants.each do |name, constant|
          missing("a usual range within the possible one", constant.range.cover?(constant.usual) ? [] : [name])
        end
        missing(
          "a motion of each joint that it says it loads",
          LOADED.reject { |tag, motions| !@tags[tag] || @joints.keys.intersect?(motions) }.keys
        )
      end

      # Refuses what is none of some names, at the line of the declaration that says it.
      def known(name, what, names)
        raise Tables::Misspelt, "#{here}: #{@id}: #{Tables.complaint(name, what, names)}" unless names.include?(name)
      end

      # A machine's adjuster is known by what it drives: no two kinds may drive the same, whichever way.
      def apart(name, drives)
        other = @kinds.values.find { |kind| kind.like?(drives) }
        raise Tables::Misspelt, "#{here}: #{@id}: #{name} drives what #{other.name} drives" if other
      end

      # A name that is looked for once every family is declared.
      def refer(vocabulary, name) = @references << Tables::Reference.new(vocabulary, name, here)

      # The line that is being declared.
      def here
        place = caller_locations.find { |location| location.absolute_path != __FILE__ }
        "#{place.path.delete_prefix("#{ROOT}/")}:#{place.lineno}"
      end

      def missing(what, names)
        raise ArgumentError, "#{@id} needs #{what}, which #{names.uniq.join(", ")} is not" if names.any?
      end
    end
  end
end
