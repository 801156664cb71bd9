# frozen_string_literal: true

# After how many minutes without a touch a shared tablet locks itself.
Sequel.migration do
  up do
    alter_table(:gyms) do
      add_column :idle_minutes, :integer, null: false, default: 5
      add_constraint :gym_idle_range, Sequel.lit("idle_minutes BETWEEN 1 AND 60")
    end
  end

  down do
    alter_table(:gyms) do
      drop_constraint :gym_idle_range
      drop_column :idle_minutes
    end
  end
end
