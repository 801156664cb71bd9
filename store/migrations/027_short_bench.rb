# frozen_string_literal: true

# Whether somebody who works here has the steps of the bench folded away.
Sequel.migration do
  change { alter_table(:accounts) { add_column :short_bench, :boolean, null: false, default: false } }
end
