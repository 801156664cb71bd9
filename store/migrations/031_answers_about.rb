# frozen_string_literal: true

# Which ids a kept answer names, so that those about somebody who is erased are found without opening each. NULL: kept
# before this, for a day at most.
Sequel.migration do
  change do
    alter_table(:writes) { add_column :about, "uuid[]" }
    add_index :writes, :about, type: :gin, name: :writes_about
  end
end
