# frozen_string_literal: true

# How machines are loaded, as printed on them; the gym's plates; limits measured of a client's joints; and cautions with
# which a gym is stricter than the table.
Sequel.migration do
  up do
    alter_table(:machines) do
      add_column :loading, :json
      add_column :belt, :boolean, null: false, default: false
      add_column :one_leg, :boolean, null: false, default: false
      add_constraint(:machine_loading_is_an_object) { Sequel.lit("loading IS NULL OR json_typeof(loading) = 'object'") }
    end

    create_table(:gym_plates) do
      foreign_key :gym_id, :gyms, type: :uuid, on_delete: :cascade
      column :mass_kg, "numeric(6,3)"
      column :pairs, :integer, null: false
      primary_key %i[gym_id mass_kg]
      constraint(:plate_mass_range) { mass_kg =~ (0.1..100) }
      constraint(:plate_pairs_range) { pairs =~ (1..20) }
    end

    alter_table(:clients) do
      add_column :limits, :json, null: false, default: "{}"
      add_constraint(:client_limits_are_an_object, Sequel.function(:json_typeof, :limits) => "object")
    end

    alter_table(:client_cautions) do
      add_column :load_to_kg, "numeric(5,1)"
      add_constraint(:caution_load_range) { load_to_kg =~ (0..1000) }
      add_constraint(:caution_load_is_a_clinicians) { Sequel.lit("cleared_on IS NOT NULL OR load_to_kg IS NULL") }
    end

    create_table(:gym_cautions) do
      foreign_key :gym_id, :gyms, type: :uuid, on_delete: :cascade
      column :caution, :text
      foreign_key :set_by, :accounts, type: :Bignum, null: false
      column :set_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[gym_id caution]
    end
  end

  down do
    drop_table :gym_cautions, :gym_plates
    alter_table(:client_cautions) do
      %i[caution_load_range caution_load_is_a_clinicians].each { |name| drop_constraint name }
      drop_column :load_to_kg
    end
    alter_table(:clients) do
      drop_constraint :client_limits_are_an_object
      drop_column :limits
    end
    alter_table(:machines) do
      drop_constraint :machine_loading_is_an_object
      %i[loading belt one_leg].each { |name| drop_column name }
    end
  end
end
