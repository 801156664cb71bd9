# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Moves both at once.
      ONE_PLATE =
        AdjusterKind.new(
          name: :one_plate,
          unit: :mm,
          drives: { pad_top: 1, plate_to_pad: 1 }.freeze,
          decides: nil,
          beside: {}.freeze,
          stage: :joint,
          first: false
        )

      # A level bench with a pad that takes the knees too: hip extension and glute-ham raise on one plate with one row
      # of holes, which is set anew for each. docs/model.md section 9.
      LevelHip =
        station(
          :level_hip,
          exercises: {
            "hip_extension" => LevelBench,
            "glute_ham" => GluteHam
          },
          own: :joint,
          set_anew: true,
          shared_kinds: [ONE_PLATE]
        )
    end
  end
end
