# frozen_string_literal: true

# What a gym says of itself: the address at which its own network finds Verglas (printed as a code on cards), and how
# names stand on sheets that hang on a wall.
Sequel.migration do
  up do
    alter_table(:gyms) do
      add_column :address, :text, null: false, default: ""
      add_column :wall_names, :text, null: false, default: "initial"
      add_column :settings_version, :integer, null: false, default: 1
      add_constraint(:gym_address_form) { Sequel.lit("address ~ '\\A(https?://[A-Za-z0-9.:\\[\\]-]{1,100})?\\Z'") }
      add_constraint :gym_wall_names_known, wall_names: %w[full initial number]
    end
  end

  down do
    alter_table(:gyms) do
      %i[gym_address_form gym_wall_names_known].each { |name| drop_constraint name }
      %i[address wall_names settings_version].each { |name| drop_column name }
    end
  end
end
