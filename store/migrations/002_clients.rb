# frozen_string_literal: true

# The people who are fitted, and what the tape said of them.
Sequel.migration do
  change do
    create_table(:clients) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :gym_id, :gyms, type: :uuid, null: false
      column :name, :text, null: false
      column :detail, :text, null: false, default: ""
      column :search_name, :text, generated_always_as: Sequel.join([" ", Sequel.function(:folded, :name)])
      column :sex, :text
      column :birth_date, :date
      column :body_mass_kg, "numeric(5,2)"
      column :version, :integer, null: false, default: 1
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:client_name_length) { char_length(name) =~ (1..80) }
      constraint(:client_name_not_blank, Sequel.~(Sequel.function(:btrim, :name) => ""))
      constraint(:client_detail_length) { char_length(detail) <= 80 }
      constraint :client_sex_known, sex: %w[man woman]
      constraint(:client_birth_date_plausible) { birth_date >= Date.new(1900, 1, 1) }
      constraint(:client_body_mass_range) { body_mass_kg =~ (20..400) }
      unique %i[id gym_id], name: :client_in_gym
      index %i[gym_id search_name detail id], name: :clients_by_name
      index [:gym_id, :search_name, Sequel.function(:folded, :detail)], name: :clients_namesakes, unique: true
      index Sequel.lit("search_name gin_trgm_ops"), name: :clients_trigrams, type: :gin
    end

    create_table(:readings) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade
      column :observation, :text, null: false
      column :value_mm, "numeric(6,1)", null: false
      column :unit, :text, null: false
      column :confirmed, :boolean, null: false, default: false
      foreign_key :taken_by, :accounts, type: :Bignum, null: false
      column :taken_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      unique %i[client_id observation], name: :one_reading_an_observation
      constraint :reading_observation_known,
                 observation: %w[
                   stature
                   seat_to_crease
                   seat_to_kneecap
                   floor_to_knee_top
                   floor_to_crease
                   knee_to_ankle
                   hip_to_knee
                   floor_to_hip
                   floor_to_shoulder
                   heel_to_toe
                   thigh_depth
                 ]
      constraint :reading_unit_known, unit: %w[cm in]
      constraint(:reading_value_range) { value_mm =~ (20..2500) }
      constraint(:stature_range) { Sequel.~(observation: "stature") | (value_mm =~ (1200..2300)) }
    end
  end
end
