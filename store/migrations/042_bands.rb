# frozen_string_literal: true

# The elastic bands of a gym: what each is called there, a colour mostly, and how hard it pulls.
Sequel.migration do
  up do
    create_table(:gym_bands) do
      foreign_key :gym_id, :gyms, type: :uuid, on_delete: :cascade
      column :name, :text
      column :newton, :integer, null: false
      primary_key %i[gym_id name]
      unique %i[gym_id newton], name: :band_newtons_differ
      constraint(:band_name_length) { Sequel.lit("char_length(name) BETWEEN 1 AND 30") }
      constraint(:band_newton_range) { newton =~ (5..400) }
    end
    alter_table(:gyms) { add_column :bands_version, :integer, null: false, default: 1 }
  end

  down do
    alter_table(:gyms) { drop_column :bands_version }
    drop_table :gym_bands
  end
end
