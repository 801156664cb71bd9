# frozen_string_literal: true

# For how many years a gym keeps the records of somebody who comes no more; for ever where it says nothing.
Sequel.migration do
  up do
    alter_table(:gyms) do
      add_column :keep_years, :integer
      add_constraint(:gym_keep_years_range) { keep_years =~ (1..30) }
    end
    alter_table(:clients) { add_index %i[gym_id created_at id], name: :clients_by_age }
  end

  down do
    alter_table(:clients) { drop_index [], name: :clients_by_age }
    alter_table(:gyms) do
      drop_constraint :gym_keep_years_range
      drop_column :keep_years
    end
  end
end
