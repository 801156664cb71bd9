# frozen_string_literal: true

module Verglas
  module Body
    # A fitting on a seated knee machine that somebody checked by eye: an observation of the body, since the knee was
    # seen on the pivot (or so far off) and the roller in place. docs/model.md section 1.
    #   machine                 whose fitting it was: at most one a machine counts
    #   back_face_mm            of the back pad at the marks, cushion included (negative); nil when the knee was not
    #                           seen
    #   knee_off_mm             how far ahead of the pivot (+s) the knee was seen, 0 on the dot
    #   roller_reach_mm         pivot to roller centre; nil when the roller was not seen in place
    #   pitch_*_mm              distance to the neighbouring marks
    CheckedFitting =
      Value.define(
        :machine,
        :back_face_mm,
        :pitch_back_mm,
        :knee_off_mm,
        :roller_reach_mm,
        :roller_radius_mm,
        :pitch_roller_mm,
        :contact_above_ankle_mm
      ) do
        # One linear reading: row . parameters + noise, mm.
        const_set(:Reading, Value.define(:row, :value_mm, :sd_mm))

        # The linear readings it makes, both formed from the mean before the fitting: hip_depth + thigh, then shank.
        def observations(body) = [back_face_mm && seated_length(body), roller_reach_mm && shank(body)].compact

        # How far its machine sits from its tape, were the body as it is known from elsewhere: {constant => [mm, + where
        # it is more than was taped; the body's share of the variance, mm^2; pitch of the marks, mm]}.
        def misses(estimate)
          names = [back_face_mm && :back_face, roller_reach_mm && :roller_reach].compact
          names.zip(observations(estimate.dimensions)).to_h { |name, seen| [name, miss(name, seen, estimate.normal)] }
        end

        private

        # Further forward than taped makes the seated length shorter than it seems, a longer reach the shank longer.
        def miss(name, seen, normal)
          off = normal.expected(seen.row) - seen.value_mm
          variance = normal.variance(seen.row)
          return -off, variance, pitch_back_mm if name == :back_face

          slope = roller_reach_mm / (seen.value_mm - contact_above_ankle_mm)
          [off / slope, variance / (slope**2), pitch_roller_mm]
        end

        # The bracket thigh - sqrt(thigh^2 - rise^2) is what the thigh's slope takes off its length along the seat.
        def seated_length(body)
          rise = body.hip_rise - body.knee_under
          bracket = body.thigh - Math.sqrt((body.thigh**2) - (rise**2))
          row = Body.row(hip_depth: 1, thigh: 1)
          self.class::Reading.new(
            row: row,
            value_mm: knee_off_mm - back_face_mm + bracket,
            sd_mm: noise(pitch_back_mm, 10.0)
          )
        end

        def shank(body)
          clearance = roller_radius_mm + body.calf_half
          value = Math.sqrt([(roller_reach_mm**2) - (clearance**2), 0.0].max) + contact_above_ankle_mm
          self.class::Reading.new(row: Body.row(shank: 1), value_mm: value, sd_mm: noise(pitch_roller_mm, 12.0))
        end

        # A mark stands for its whole notch; the rest is what an eye misses (working figures: 10 and 12 mm).
        def noise(pitch, eye_mm) = Math.sqrt(((pitch**2) / 12.0) + (eye_mm**2))
      end
  end
end
