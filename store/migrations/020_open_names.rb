# frozen_string_literal: true

# Which exercises, ways of taping and kinds of cushion there are is known to the core: here they have a form, not a
# list, so that a new family changes no table. What stands there already has that form.
Sequel.migration do
  name = "~ '\\A[a-z_]{1,40}\\Z'"
  maybe = "~ '\\A[a-z_]{0,40}\\Z'"

  up do
    {
      fittings: [:fitting_exercise_known, :fitting_exercise_form, "exercise #{maybe}"],
      machine_queues: [:queue_exercise_known, :queue_exercise_form, "exercise #{maybe}"],
      readings: [:reading_observation_known, :reading_observation_form, "observation #{name}"],
      gym_equipment: [:equipment_kind_known, :equipment_kind_form, "kind #{name}"]
    }.each do |table, (old, new, form)|
      alter_table(table) do
        drop_constraint old
        add_constraint(new) { Sequel.lit(form) }
      end
    end
  end

  down do
    alter_table(:fittings) do
      drop_constraint :fitting_exercise_form
      add_constraint :fitting_exercise_known, exercise: ["", "extension", "curl"]
    end
    alter_table(:machine_queues) do
      drop_constraint :queue_exercise_form
      add_constraint :queue_exercise_known, exercise: ["", "extension", "curl"]
    end
    alter_table(:readings) do
      drop_constraint :reading_observation_form
      add_constraint :reading_observation_known,
                     observation: %w[
                       stature
                       seat_to_crease
                       seat_to_kneecap
                       floor_to_knee_top
                       floor_to_crease
                       knee_to_ankle
                       hip_to_knee
                       floor_to_hip
                       floor_to_shoulder
                       heel_to_toe
                       thigh_depth
                     ]
    end
    alter_table(:gym_equipment) do
      drop_constraint :equipment_kind_form
      add_constraint :equipment_kind_known, kind: %w[cushion_back cushion_seat hip_pad]
    end
  end
end
