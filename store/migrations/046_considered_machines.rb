# frozen_string_literal: true

# A machine that a gym thinks of buying: described as any other, and nobody is fitted on it.
Sequel.migration do
  up do
    alter_table(:machines) do
      drop_constraint :machine_state_known
      add_constraint :machine_state_known, state: %w[in_use out_of_order retired considered]
    end
  end

  down do
    alter_table(:machines) do
      drop_constraint :machine_state_known
      add_constraint :machine_state_known, state: %w[in_use out_of_order retired]
    end
  end
end
