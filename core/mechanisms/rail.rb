# frozen_string_literal: true

module Verglas
  module Mechanisms
    # What presses and squats on a rail have in common, for one exact body: a closed leg between a hip and a plate, feet
    # somewhere on that plate, a working bottom, and something that ends the travel (`stop_x`: a constant of x where a
    # sled is caught, or where a stack rests). Frame of the machine: from the corner that its lengths are taped from, x
    # along the rail the way the client pushes, y square to it on the knees' side; mm and degrees. docs/model.md section
    # 5. A subclass says where the hip is (`hip`), which way the trunk lies (`trunk_deg`), what ends the travel, and
    # what else it finds.
    class Rail < Mechanism
      include Rail::Numbers
      include Rail::Depth
      include Rail::Seen
      include Rail::Feet

      TABLE = Tables[:press]
      TOES = %i[over up_to past].freeze
      LEG = %i[thigh shank ankle_height foot hip_depth knee_front].freeze
      # Decimals to which two places are told apart.
      ROUNDING = 9
      TRAITS = %i[ends].freeze

      # The name of the constant that ends the travel, and of the finding that grades it.
      def ends = @ends ||= family.traits[:ends]
      def stop_finding = ends == :rest_x ? :rest_slack : :stop_slack

      # From the machine's corner to the hip (Point); the direction of the trunk (degrees).
      def hip(_place) = raise(NotImplementedError)
      def trunk_deg(_place) = raise(NotImplementedError)

      # x of one of the machine's lengths as seen from the hip (mm).
      def from_hip(place, name) = place[name] - hip(place).s

      # The first place with such a leg on its plate: places that differ alone in what has no say in it share its leg.
      def stance(place)
        place.once(:stance) { (@stances ||= {})[place.parameters.except(ends, *beside_stance)] ||= place }
      end

      # Constants beside what ends the travel that the leg does not depend on.
      def beside_stance = []

      def leg(place)
        stance(place).once(:leg) do
          Linkages::ClosedLeg.new(
            body: body,
            trunk_deg: trunk_deg(place),
            plate_deg: place[:plate_angle],
            plate_y_mm: place[:plate_y] - hip(place).n,
            sole_mm: sole_mm
          )
        end
      end

      def window(place)
        stance(place).once(:window) do
          Linkages::FootWindow.new(
            leg(place),
            limits: limits,
            plate_length_mm: place[:plate_length],
            target_deg: wishes[:target_bend_deg],
            top_deg: top_deg,
            lowest_mm: lowest_mm(place),
            share: kept_share(wishes[:foot_share])
          )
        end
      end

      # The heels' height on the plate (mm): where they were placed, else where they are best.
      def foot_mm(place) = wishes[:foot_mm] || window(place).heel_mm

      # How deep the movement could go, and where it turns; where not even the top can be reached, the leg as near as it
      # comes.
      def deepest(place)
        stance(place).once(:deepest) do
          window(place).deepest(foot_mm(place)) || Linkages::FootWindow::Deepest.new(0.0, :reach)
        end
      end

      # The same of today, where less than the whole range is gone through (Bottom's by is :today then).
      def bottom(place)
        stance(place).once(:bottom) do
          whole = whole_bottom(place)
          if grown? || whole.by == :reach
            whole
          else
            whole.class.new(whole.leg, today_deg(top_deg, whole.bend_deg), whole.f_mm, :today)
          end
        end
      end

      def whole_bottom(place)
        stance(place).once(:whole_bottom) do
          found = window(place).bottom(foot_mm(place), deepest: deepest(place)) if startable?(place)
          found || Linkages::FootWindow::Bottom.new(leg(place), top_deg, foot_mm(place), :reach)
        end
      end

      # Whether the leg can take up the top at all.
      def startable?(place) = deepest(place).by != :reach || deepest(place).bend_deg.positive?

      # The leg where the machine ends the travel.
      def stopped(place) = place.once(:stopped) { leg(place).towards_plate(from_hip(place, ends), foot_mm(place)) }

      # The leg where the movement turns: at the working bottom, or where the stack comes to rest before it.
      def turning(place) = place.once(:turning) { rests_early?(place) ? stopped(place) : bottom(place).state }
      def rests_early?(place) = ends == :rest_x && slack_mm(place).positive?

      # How far the stop lies below the working bottom, or the bottom below where the stack rests (mm).
      def slack_mm(place, bottom = bottom(place))
        (bottom.x_mm - from_hip(place, ends)) * (ends == :rest_x ? -1 : 1)
      end

      def slack_target_mm = ends == :rest_x ? band(:rest_slack).target : wishes[:stop_slack_mm]

      # A back that is to be upright is as upright as it goes; one that is to go back does so as far as nothing becomes
      # a fault by it.
      def precedence(place)
        return [trunk_deg(place)] if upright?

        wishes[:fully_back].positive? ? [findings(:joint, place).count(&:fault), -trunk_deg(place)] : []
      end

      def upright? = wishes[:upright].positive?

      # Most recline, then the stop nearest to its target.
      def preference(place)
        [-trunk_deg(place), (slack_mm(place) - slack_target_mm).abs.round(ROUNDING)]
      end

      # What the joints may do: hip and ankle as measured, or what holds until then, within every other source.
      def hip_limit_deg = @hip_limit_deg ||= wishes.clamp(:hip_flexion, wishes[:hip_limit_deg])
      def ankle_limit_deg = @ankle_limit_deg ||= wishes.clamp(:ankle_dorsiflexion, wishes[:ankle_limit_deg])
      def knee_limit_deg = wishes.envelope.to(:knee_flexion)

      # The bend of the knee with which a set begins and ends: nearly straight, or where this client's knee has its
      # lower end.
      def top_deg = @top_deg ||= [Linkages::ClosedLeg::TOP_BEND_DEG, lowest_knee_deg].compact.max
      def lowest_knee_deg = wishes.envelope.from(:knee_flexion)

      # To which bend of the hip a stop may let it: a little past what was measured, not past a caution's or a
      # clinician's word.
      def hip_at_stop_to_deg
        [hip_limit_deg + Body::Margins.past_deg(:press_stop), wishes.hard.to(:hip_flexion)].compact.min
      end
      def range_left_deg(place) = bottom(place).bend_deg - top_deg

      def limits
        @limits ||=
          Linkages::FootWindow::Limits.new(
            hip_bend_deg: hip_limit_deg,
            ankle_bend_deg: ankle_limit_deg,
            knee_bend_deg: knee_limit_deg,
            toes: TOES.fetch(wishes[:toes].to_i)
          )
      end

      def findings(group, place)
        case group
        when :joint
          [depth(place), stop(place), *further(place), range_left(place)]
        when :width
          [feet_wide(place)]
        else
          []
        end
      end

      # Where the feet are best, and how far they can be moved.
      def settled(place)
        {
          foot_mm: foot_mm(place),
          **Linkages::Stance.of(body, place[:plate_width], wishes.values).to_h
        }.select { |name, _| wishes[name].nil? }
      end

      def span(choice, place)
        {
          foot_mm: feet_between(place),
          stance_mm: [0.0, TABLE[:stance][:widest_mm]],
          turn_deg: [0.0, TABLE[:stance][:furthest_deg]]
        }.fetch(choice)
      end

      # From the outer edge of the wider shoe to the plate's (mm); less than nothing where it hangs over.
      def feet_wide_mm(place) = Linkages::Stance.of(body, place[:plate_width], wishes.values).room_mm

      # Both joints where the client turns, and where the machine ends the travel.
      def ranges(place)
        state = turning(place)
        end_of = ->(motion, deg) do
          Reached.new(at: :stop, deg: deg, forced: true, target_deg: wishes.clamp(motion, deg))
        end
        free = ->(motion, deg, at = :bottom) do
          Reached.new(at: at, deg: deg, forced: false, target_deg: wishes.clamp(motion, deg))
        end
        begins = top(place)
        {
          knee_flexion: [
            free[:knee_flexion, state.knee_bend_deg],
            end_of[:knee_flexion, stopped(place).knee_bend_deg],
            free[:knee_flexion, begins.knee_bend_deg, :top]
          ],
          hip_flexion: [
            free[:hip_flexion, state.hip_bend_deg],
            end_of[:hip_flexion, stopped(place).hip_bend_deg],
            free[:hip_flexion, begins.hip_bend_deg, :top]
          ],
          ankle_dorsiflexion: [
            free[:ankle_dorsiflexion, state.ankle_bend_deg],
            free[:ankle_dorsiflexion, begins.ankle_bend_deg, :top]
          ]
        }
      end

      def end_limited? = knee_limit_deg ? knee_limit_deg < wishes[:target_bend_deg] : false

      # Of the effort of both joints what the hip takes; 0 to 1. At the bottom, or of a leg elsewhere.
      def hip_share(place, state = bottom(place).state)
        knee, hip = state.torques(1.0).values_at(:knee, :hip).map { |torque| [torque, 0.0].max }
        (knee + hip).zero? ? 0.0 : hip / (knee + hip)
      end

      # The same of a hundred, {knee:, hip:}.
      def split(place, state)
        hip = (hip_share(place, state) * 100).round
        { knee: 100 - hip, hip: hip }
      end

      # Newtons along the rail for what is loaded (kg of plates, or on the stack); both legs together.
      def force_n(place, load_kg) = ((place.parameters[:sled_mass] || 0.0) + load_kg) * force_per_kg(place)

      # The hip's where the pelvis starts to roll there, the ankle's where the heels lift.
      def limits_at(place, share)
        state = along(place, share)
        { hip_bend: state.hip_bend_deg, ankle: state.ankle_bend_deg }
      end

      # The leg at a share of the movement: 0 at its bottom, 1 at its top.
      def along(place, share)
        from = turning(place).x_mm
        leg(place).towards_plate(from + ((top(place).x_mm - from) * share), foot_mm(place))
      end

      def efforts(place)
        of_the_longest { |share| along(place, share).then { |at| { knee: at.knee_lever_mm, hip: at.hip_lever_mm } } }
      end

      # The knee, which straightens; as far as the plate has gone by then.
      def lead(place)
        Lead.new(motion: :knee_flexion, from_deg: turning(place).knee_bend_deg, upto_deg: top(place).knee_bend_deg)
      end

      # On the thigh: a set begins with the legs nearly straight, or where the plate rests.
      def laid(place)
        ends_at = [top(place), turning(place)].map { |state| thigh_deg(state) }
        ends_at = ends_at.reverse if ends == :rest_x
        Motion::Laid.new(on: :thigh, from_deg: ends_at.first, upto_deg: ends_at.last, lowers_first: ends != :rest_x)
      end

      def share_at(place, deg)
        from, at, upto = [turning(place), leg(place).towards_bend(deg, foot_mm(place)), top(place)].map(&:x_mm)
        (at - from) / (upto - from)
      end

      # Where a set begins and ends.
      def top(place) = stance(place).once(:top) { leg(place).towards_bend(top_deg, foot_mm(place)) }

      def sole_mm = wishes[:sole_mm]

      def further(_place) = []

      private

      # Which way the thigh points (degrees), wherever the hip goes: hip and knee as the leg has them.
      def thigh_deg(state) = state.knee.angle_deg

      def force_per_kg(_place) = raise(NotImplementedError)
      def force_quantities(place) = { force_per_kg_n: force_per_kg(place) }
      def load_quantities(_place) = {}
      def further_quantities(_place) = {}

      def feet_wide(place) = feet_wide_mm(place).then { |room| grade(:feet_wide, room) }

      # A stop that lets a joint past its limit is a fault, however well it lies.
      def stop(place) = grade(stop_finding, slack_mm(place), graded_slack_mm(place), stop_fault(stopped(place)))

      # Where less than the whole range is gone through today, a stop that is right for the whole of it is right too.
      def graded_slack_mm(place)
        today = slack_mm(place)
        return today if grown?

        whole = slack_mm(place, whole_bottom(place))
        slack_target_mm.clamp(*[today, whole].minmax)
      end

      def stop_fault(state)
        return :past_hip_limit if state.hip_bend_deg > hip_at_stop_to_deg + Linkages::FootWindow::TOUCHES

        :past_knee_limit if knee_limit_deg && state.knee_bend_deg > knee_limit_deg + Linkages::FootWindow::TOUCHES
      end
    end
  end
end
