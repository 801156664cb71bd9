# frozen_string_literal: true

# An accepted fitting can be taken back as made by mistake: it stays, with who did so and why (encrypted), and leaves
# card and body. A draft that was opened and never touched is told from one that was begun. Stop signs are known to the
# core; here only their form is held.
Sequel.migration do
  whole = "accepted_by IS NOT NULL AND accepted_at IS NOT NULL AND result IS NOT NULL AND computed_from IS NOT NULL"
  open = "accepted_by IS NULL AND accepted_at IS NULL AND result IS NULL AND computed_from IS NULL"

  up do
    alter_table(:fittings) do
      add_foreign_key :taken_back_by, :accounts, type: :Bignum
      add_column :taken_back_at, :timestamptz
      add_column :taken_back_cipher, :text
      add_column :touched, :boolean, null: false, default: false
      %i[fitting_state_known accepted_whole fitting_stop_sign_known].each { |name| drop_constraint name }
      add_constraint :fitting_state_known, state: %w[draft accepted stopped discarded taken_back]
      add_constraint(:accepted_whole) do
        Sequel.lit(
          "(state IN ('draft', 'discarded') AND #{open}) OR (state IN ('accepted', 'stopped', 'taken_back') AND " \
            "#{whole})"
        )
      end
      add_constraint(:fitting_taken_back_whole) do
        Sequel.lit(
          "num_nulls(taken_back_by, taken_back_at, taken_back_cipher) = CASE WHEN state = 'taken_back' THEN 0 ELSE " \
            "3 END"
        )
      end
      add_constraint(:fitting_stop_sign_form) { Sequel.lit("stop_sign ~ '\\A[a-z_]{0,40}\\Z'") }
    end
    from(:fittings).where { version > 1 }.update(touched: true)
  end

  down do
    from(:fittings).where(state: "taken_back").delete
    from(:fittings).where(stop_sign: "joint_pain").update(stop_sign: "sudden_joint_pain")
    alter_table(:fittings) do
      %i[fitting_state_known accepted_whole fitting_taken_back_whole fitting_stop_sign_form].each do |name|
        drop_constraint name
      end
      %i[taken_back_by taken_back_at taken_back_cipher touched].each { |name| drop_column name }
      add_constraint :fitting_state_known, state: %w[draft accepted stopped discarded]
      add_constraint(:accepted_whole) do
        Sequel.lit("(state IN ('draft', 'discarded') AND #{open}) OR (state IN ('accepted', 'stopped') AND #{whole})")
      end
      add_constraint :fitting_stop_sign_known,
                     stop_sign: ["", "chest_pain", "faintness", "numbness", "sudden_joint_pain", "hot_calf"]
    end
  end
end
