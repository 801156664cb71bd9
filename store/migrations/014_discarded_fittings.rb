# frozen_string_literal: true

# A discarded fitting is kept for a while, so that it can be opened again.
Sequel.migration do
  whole = "accepted_by IS NOT NULL AND accepted_at IS NOT NULL AND result IS NOT NULL AND computed_from IS NOT NULL"
  open = "accepted_by IS NULL AND accepted_at IS NULL AND result IS NULL AND computed_from IS NULL"

  up do
    alter_table(:fittings) do
      drop_constraint :fitting_state_known
      drop_constraint :accepted_whole
      add_constraint :fitting_state_known, state: %w[draft accepted stopped discarded]
      add_constraint(:accepted_whole) do
        Sequel.lit("(state IN ('draft', 'discarded') AND #{open}) OR (state IN ('accepted', 'stopped') AND #{whole})")
      end
    end
  end

  down do
    from(:fittings).where(state: "discarded").delete
    alter_table(:fittings) do
      drop_constraint :fitting_state_known
      drop_constraint :accepted_whole
      add_constraint :fitting_state_known, state: %w[draft accepted stopped]
      add_constraint(:accepted_whole) { Sequel.lit("(state = 'draft' AND #{open}) OR (state <> 'draft' AND #{whole})") }
    end
  end
end
