# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A pad on a lever over the thighs of somebody who sits with the forefeet on a block. Frame: origin under the balls
    # of the feet, x forward, y up; mm and degrees of heel drop, 0 with the sole level, + with the heel below.
    # docs/model.md section 5.
    class KneeLever < Mechanism
      FIGURES = Tables[:calf][:calf]
      TOP_DEG = FIGURES[:top_deg]
      BALL_SHARE = Linkages::CalfWork::BALL_SHARE
      BODY_PARAMETERS = %i[ankle_height foot shank knee_top].freeze
      RULES = {
        knee_pad:
          Rule.of(:pad_above_block, follows: { ankle_height: 1, shank: 1, knee_top: 1 }) do |lever, _|
            lever.wanted_pad_mm
          end
      }.freeze

      # How high the top of the knee stands over the block at a heel drop (mm).
      def knee_top_mm(drop_deg)
        drop = Geometry::Angle.radians(drop_deg)
        ((body.ankle_height + wishes[:sole_mm]) * Math.cos(drop)) - (BALL_SHARE * body.foot * Math.sin(drop)) +
          body.shank + body.knee_top
      end

      # The client's own lowest place of the heels, and their highest, within every limit (degrees): the shin stands
      # upright, so that the ankle bends by as much.
      def heel_drop_deg = @heel_drop_deg ||= within(wishes[:heel_drop_deg])
      def top_deg = @top_deg ||= within(TOP_DEG)
      def range_left_deg(_place) = heel_drop_deg - top_deg

      # Where the client turns today; the pad lies below their lowest.
      def bottom_deg = today_deg(top_deg, heel_drop_deg)

      # The top of the knee with the heels lowest and highest (mm).
      def low_mm = @low_mm ||= knee_top_mm(heel_drop_deg)
      def high_mm = @high_mm ||= knee_top_mm(top_deg)

      # Where the pad on its stop wants to be: the middle of what is in line, below the lowest place of the thighs (mm).
      def wanted_pad_mm = low_mm - (Machines::Declaration::BANDS.fetch(:pad_slack).in_line.max / 2.0)

      # How far the pad on its stop lies below the thighs at their lowest, and the thighs over the catch at their
      # highest (mm).
      def slack_mm(place) = low_mm - place[:pad_above_block]
      def clears_mm(place) = high_mm - place[:pad_above_block] - place[:catch_rise]

      def findings(group, place)
        group == :joint ? [pad_slack(place), range_left(place)] : [grade(:catch_clear, clears_mm(place))]
      end

      def quantities_of(group, place)
        return { clears_mm: clears_mm(place) } unless group == :joint

        {
          low_mm: low_mm,
          high_mm: high_mm,
          slack_mm: slack_mm(place),
          heel_drop_deg: heel_drop_deg,
          range_left_deg: range_left_deg(place)
        }
      end

      # The client decides how low the heels go.
      def ranges(_place)
        ends =
          { bottom: bottom_deg, top: top_deg }.map do |at, deg|
            Reached.new(at: at, deg: deg, forced: false, target_deg: deg)
          end
        { heel_drop: ends, ankle_dorsiflexion: ends }
      end

      # From the balls of the feet to the ankle, along the floor: by as much the thighs rise with the heels.
      def efforts(_place)
        of_the_longest do |share|
          drop = Geometry::Angle.radians(bottom_deg + ((top_deg - bottom_deg) * share))
          over = (body.ankle_height + wishes[:sole_mm]) * Math.sin(drop)
          { ankle: (BALL_SHARE * body.foot * Math.cos(drop)) + over }
        end
      end

      def lead(_place) = Lead.new(motion: :heel_drop, from_deg: bottom_deg, upto_deg: top_deg)

      # On the foot, which turns with the heel, from the heels lowest: how long the lever is nobody tapes.
      def laid(_place) = Motion::Laid.new(on: :foot, from_deg: bottom_deg, upto_deg: top_deg, lowers_first: false)

      # The highest mark that lets the heels down, and no other.
      def preference(place) = [slack_mm(place).negative? ? 1 : 0, slack_mm(place).abs]

      def end_limited? = heel_drop_deg != wishes[:heel_drop_deg]

      private

      def within(deg) = %i[heel_drop ankle_dorsiflexion].inject(deg) { |kept, motion| wishes.clamp(motion, kept) }

      def pad_slack(place)
        slack = slack_mm(place)
        grade(:pad_slack, slack, slack, (:leaves_the_thighs if slack.negative?))
      end
    end
  end
end
