# frozen_string_literal: true

# A gym's machines. What was taped of one is kept version by version: a fitting points at the version it was made on.
Sequel.migration do
  change do
    create_table(:machines) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :gym_id, :gyms, type: :uuid, null: false
      column :family, :text, null: false
      column :name, :text, null: false
      column :place, :text, null: false, default: ""
      column :description_number, :integer, null: false, default: 1
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:machine_name_length) { char_length(name) =~ (1..80) }
      constraint(:machine_place_length) { char_length(place) <= 80 }
      unique %i[gym_id name], name: :machine_names_differ
      unique %i[id gym_id], name: :machine_in_gym
    end

    create_table(:machine_descriptions) do
      foreign_key :machine_id, :machines, type: :uuid, on_delete: :cascade
      column :number, :integer
      column :constants, :json, null: false
      column :adjusters, :json, null: false
      foreign_key :taped_by, :accounts, type: :Bignum
      column :taped_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[machine_id number]
      constraint(:constants_are_an_object, Sequel.function(:json_typeof, :constants) => "object")
      constraint(:adjusters_are_a_list, Sequel.function(:json_typeof, :adjusters) => "array")
      constraint(:description_number_positive) { number > 0 }
    end
  end
end
