# frozen_string_literal: true

module Verglas
  module Linkages
    # A squat with a free foot, by how far the knee is bent: the ankle bends with it as far as it goes, the trunk leans
    # so that the body stays over the foot, and what is left of the knee's bend beside the ankle's is the thigh's.
    # Degrees; lean: the trunk forward of upright. docs/model.md section 5.
    Squat =
      Value.define(:knee_deg, :hip_deg, :ankle_deg, :lean_deg) do
        # The squat with the knee bent so far.
        def self.at(knee_deg, limits)
          ankle = [limits.ankle_deg, Squat::FIGURES[:ankle_share] * knee_deg].min
          lean = limits.lean.at(knee_deg)
          new(knee_deg: knee_deg, ankle_deg: ankle, lean_deg: lean, hip_deg: knee_deg - ankle + lean)
        end

        # The deepest up to a bend that hip and knee allow, by bisection: the hip bends more the deeper one squats.
        def self.deepest(limits, upto_deg:)
          most = [upto_deg, limits.knee_deg].compact.min
          return at(most, limits) if at(most, limits).hip_deg <= limits.hip_deg

          low = 0.0
          Squat::HALVINGS.times do
            middle = (low + most) / 2
            at(middle, limits).hip_deg <= limits.hip_deg ? low = middle : most = middle
          end
          at(low, limits)
        end

        # The knee's bend with the thighs level.
        def self.level_deg(ankle_deg) = 90.0 + [ankle_deg, Squat::FIGURES[:level_ankle_most_deg]].min

        def to_h = { knee_bend_deg: knee_deg, hip_bend_deg: hip_deg, ankle_bend_deg: ankle_deg, lean_deg: lean_deg }
      end

    Squat::FIGURES = Tables[:press][:squat]
    # A hip that nothing limits.
    Squat::OPEN_DEG = 180.0
    Squat::HALVINGS = 60
    # Of the client: knee_deg nil where nothing limits it; lean: Lean.
    Squat::Limits = Value.define(:knee_deg, :hip_deg, :ankle_deg, :lean)
    # How far the trunk goes forward, as shares of the knee's bend and of what of it lies past a right angle.
    Squat::Lean =
      Value.define(:share, :past_share) do
        def at(knee_deg) = (share * knee_deg) + (past_share * [knee_deg - 90.0, 0.0].max)
      end
  end
end
