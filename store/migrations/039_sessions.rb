# frozen_string_literal: true

# What somebody does today in the time they have; named lists of exercises for an aim, the gym's own or a client's; and
# a group that rotates over machines. Which machines a plan holds and what was left out stand in JSON, for they are read
# and written whole; why something was left out may speak of somebody's health and lies encrypted.
Sequel.migration do
  up do
    create_table(:programmes) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      column :gym_id, :uuid, null: false
      column :client_id, :uuid
      column :name, :text, null: false
      column :aim, :text
      column :weeks, :integer
      column :begins_on, :date
      column :days, :json, null: false
      column :version, :integer, null: false, default: 1
      foreign_key :updated_by, :accounts, type: :Bignum, null: false
      column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:gym_id], :gyms, name: :programme_of_gym
      foreign_key %i[client_id gym_id],
                  :clients,
                  key: %i[id gym_id],
                  name: :programme_client_of_gym,
                  on_delete: :cascade
      unique %i[id gym_id], name: :programme_in_gym
      constraint(:programme_name_length) { char_length(name) =~ (1..80) }
      constraint(:programme_weeks_range) { weeks =~ (1..52) }
      constraint(:programme_days_is_a_list, Sequel.function(:json_typeof, :days) => "array")
      index %i[gym_id client_id], name: :programmes_of_gym
      index :client_id, name: :programmes_of_client
    end

    create_table(:sessions) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      column :gym_id, :uuid, null: false
      column :client_id, :uuid, null: false
      column :programme_id, :uuid
      column :day, :integer
      column :state, :text, null: false, default: "planned"
      column :minutes, :integer, null: false
      column :aim, :text
      column :wishes, :json, null: false, default: "{}"
      column :blocks, :json, null: false, default: "[]"
      column :left_out_cipher, :text
      column :version, :integer, null: false, default: 1
      foreign_key :created_by, :accounts, type: :Bignum, null: false
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key :updated_by, :accounts, type: :Bignum, null: false
      column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :begun_at, :timestamptz
      column :ended_at, :timestamptz
      foreign_key %i[client_id gym_id], :clients, key: %i[id gym_id], name: :session_client_of_gym, on_delete: :cascade
      foreign_key [:programme_id], :programmes, name: :session_of_programme, on_delete: :set_null
      constraint :session_state_known, state: %w[planned running done]
      constraint(:session_minutes_range) { minutes =~ (5..240) }
      constraint(:session_begun_where_it_runs) { Sequel.lit("(state = 'planned') = (begun_at IS NULL)") }
      constraint(:session_ended_where_done) { Sequel.lit("(state = 'done') = (ended_at IS NOT NULL)") }
      constraint(:session_ends_after_it_began) { ended_at >= begun_at }
      constraint(:session_wishes_is_an_object, Sequel.function(:json_typeof, :wishes) => "object")
      constraint(:session_blocks_is_a_list, Sequel.function(:json_typeof, :blocks) => "array")
      index %i[client_id created_at], name: :sessions_of_client
      index %i[gym_id updated_at], name: :sessions_of_gym
      index :client_id, unique: true, where: { state: "running" }, name: :one_session_runs_a_client
      index :programme_id, name: :sessions_of_programme
    end

    create_table(:circles) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      column :gym_id, :uuid, null: false
      column :name, :text, null: false
      column :work_s, :integer, null: false
      column :stations, :json, null: false
      column :people, :json, null: false
      column :round, :integer, null: false, default: 0
      column :round_at, :timestamptz
      column :version, :integer, null: false, default: 1
      foreign_key :updated_by, :accounts, type: :Bignum, null: false
      column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:gym_id], :gyms, name: :circle_of_gym
      unique %i[id gym_id], name: :circle_in_gym
      constraint(:circle_name_length) { char_length(name) =~ (1..80) }
      constraint(:circle_work_range) { work_s =~ (15..900) }
      constraint(:circle_round_range) { round =~ (0..200) }
      constraint(:circle_runs_since) { Sequel.lit("(round = 0) = (round_at IS NULL)") }
      constraint(:circle_stations_is_a_list, Sequel.function(:json_typeof, :stations) => "array")
      constraint(:circle_people_is_a_list, Sequel.function(:json_typeof, :people) => "array")
      index %i[gym_id updated_at], name: :circles_of_gym
    end
  end

  down { drop_table :circles, :sessions, :programmes }
end
