# frozen_string_literal: true

# Getting in and out of a machine, move by move; the texts beside them stay for what does not fit.
Sequel.migration do
  up do
    alter_table(:machines) do
      add_column :moves, :json, null: false, default: "{}"
      add_constraint(:moves_are_an_object, Sequel.function(:json_typeof, :moves) => "object")
    end
  end

  down { alter_table(:machines) { drop_column :moves } }
end
