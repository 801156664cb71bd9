# frozen_string_literal: true

# What a fitting holds besides its marks: which exercise of a station, cushions and pads in use, the load as printed,
# signs ticked, a note (encrypted), and what was seen by eye, which is what makes a fitting checked.
Sequel.migration do
  up do
    alter_table(:fittings) do
      add_column :exercise, :text, null: false, default: ""
      add_column :aids, :json, null: false, default: "{}"
      add_column :load, :text, null: false, default: ""
      add_column :signs, :json, null: false, default: "[]"
      add_column :note_cipher, :text
      add_column :knee_off_mm, "numeric(5,1)"
      add_column :roller_seen, :boolean, null: false, default: false
      add_constraint :fitting_exercise_known, exercise: ["", "extension", "curl"]
      add_constraint(:fitting_aids_are_an_object, Sequel.function(:json_typeof, :aids) => "object")
      add_constraint(:fitting_signs_are_a_list, Sequel.function(:json_typeof, :signs) => "array")
      add_constraint(:fitting_load_length) { char_length(load) <= 40 }
      add_constraint(:fitting_knee_off_range) { knee_off_mm =~ (-100..100) }
      drop_index %i[client_id machine_id], name: :one_draft_a_client_and_machine
      add_index %i[client_id machine_id exercise],
                name: :one_draft_a_client_and_exercise,
                unique: true,
                where: {
                  state: "draft"
                }
      add_index %i[machine_id accepted_at], name: :fittings_of_machine, where: { state: "accepted" }
    end
  end

  down do
    alter_table(:fittings) do
      drop_index %i[machine_id accepted_at], name: :fittings_of_machine
      drop_index %i[client_id machine_id exercise], name: :one_draft_a_client_and_exercise
      add_index %i[client_id machine_id], name: :one_draft_a_client_and_machine, unique: true, where: { state: "draft" }
      %i[
        fitting_exercise_known
        fitting_aids_are_an_object
        fitting_signs_are_a_list
        fitting_load_length
        fitting_knee_off_range
      ].each { |name| drop_constraint name }
      %i[exercise aids load signs note_cipher knee_off_mm roller_seen].each { |name| drop_column name }
    end
  end
end
