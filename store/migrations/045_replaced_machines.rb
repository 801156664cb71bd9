# frozen_string_literal: true

# Which machine took the place of one that is retired. It mostly came later, so that the two are held against each other
# once both are written.
Sequel.migration do
  up do
    alter_table(:machines) do
      add_foreign_key :replaced_by, :machines, type: :uuid, deferrable: true
      add_constraint(:machine_replaced_retired) { Sequel.|({ replaced_by: nil }, { state: "retired" }) }
      add_constraint(:machine_replaced_by_another) { Sequel.~(replaced_by: :id) }
    end
  end

  down do
    alter_table(:machines) do
      drop_constraint :machine_replaced_by_another
      drop_constraint :machine_replaced_retired
      drop_column :replaced_by
    end
  end
end
