# frozen_string_literal: true

# The whole of a fitting: the step at hand with what was seen at each and why one was skipped (encrypted), the work
# (load, repetitions, where it was felt), the trail of what was tried for a sign, a creep test's readings, why something
# off was accepted; and one that a stop sign ended.
Sequel.migration do
  whole = "accepted_by IS NOT NULL AND accepted_at IS NOT NULL AND result IS NOT NULL AND computed_from IS NOT NULL"
  draft = "accepted_by IS NULL AND accepted_at IS NULL AND result IS NULL AND computed_from IS NULL"

  up do
    alter_table(:fittings) do
      %i[work creep].each { |name| add_column name, :json, null: false, default: "{}" }
      add_column :trail, :json, null: false, default: "[]"
      %i[flow_cipher cue_cipher reason_cipher].each { |name| add_column name, :text }
      add_column :stop_sign, :text, null: false, default: ""
      %i[work creep].each do |name|
        add_constraint(:"fitting_#{name}_is_an_object", Sequel.function(:json_typeof, name) => "object")
      end
      add_constraint(:fitting_trail_is_a_list, Sequel.function(:json_typeof, :trail) => "array")
      drop_constraint :fitting_state_known
      drop_constraint :accepted_whole
      add_constraint :fitting_state_known, state: %w[draft accepted stopped]
      add_constraint :fitting_stop_sign_known,
                     stop_sign: ["", "chest_pain", "faintness", "numbness", "sudden_joint_pain", "hot_calf"]
      add_constraint(:fitting_stopped_by_a_sign) { Sequel.lit("(state = 'stopped') = (stop_sign <> '')") }
      add_constraint(:accepted_whole) do
        Sequel.lit("(state = 'draft' AND #{draft}) OR (state <> 'draft' AND #{whole})")
      end
    end
  end

  down do
    from(:fittings).where(state: "stopped").delete
    alter_table(:fittings) do
      %i[
        fitting_work_is_an_object
        fitting_creep_is_an_object
        fitting_trail_is_a_list
        fitting_state_known
        fitting_stop_sign_known
        fitting_stopped_by_a_sign
        accepted_whole
      ].each { |name| drop_constraint name }
      %i[flow_cipher work creep trail cue_cipher reason_cipher stop_sign].each { |name| drop_column name }
      add_constraint :fitting_state_known, state: %w[draft accepted]
      add_constraint(:accepted_whole) do
        Sequel.lit("(state = 'draft' AND #{draft}) OR (state = 'accepted' AND #{whole})")
      end
    end
  end
end
