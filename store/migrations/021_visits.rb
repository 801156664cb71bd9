# frozen_string_literal: true

# What was lifted between fittings: a visit to a machine that was set up from an accepted fitting, and its sets. How a
# set went (last repetition, range, where it was felt, a sign) lies encrypted; beside it stand the two answers which are
# asked for of many at once.
Sequel.migration do
  up do
    alter_table(:fittings) do
      add_unique_constraint %i[id client_id machine_id exercise], name: :fitting_of_client_and_machine
    end

    create_table(:visits) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      column :gym_id, :uuid, null: false
      column :client_id, :uuid, null: false
      column :machine_id, :uuid, null: false
      column :exercise, :text, null: false, default: ""
      column :fitting_id, :uuid, null: false
      column :planned_kg, "numeric(7,3)"
      column :stopped, :boolean, null: false, default: false
      foreign_key :begun_by, :accounts, type: :Bignum, null: false
      column :begun_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :last_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key %i[client_id gym_id], :clients, key: %i[id gym_id], name: :visit_client_of_gym, on_delete: :cascade
      foreign_key %i[machine_id gym_id], :machines, key: %i[id gym_id], name: :visit_machine_of_gym
      foreign_key %i[fitting_id client_id machine_id exercise],
                  :fittings,
                  key: %i[id client_id machine_id exercise],
                  name: :visit_set_up_from
      unique %i[id gym_id], name: :visit_in_gym
      constraint(:visit_planned_range) { planned_kg =~ (0..1000) }
      constraint(:visit_ends_after_it_began) { last_at >= begun_at }
      index %i[client_id machine_id exercise begun_at], name: :visits_of_client
      index %i[gym_id last_at], name: :visits_of_gym
      index :fitting_id, name: :visits_of_fitting
      index :machine_id, name: :visits_of_machine
    end

    create_table(:sets) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      column :gym_id, :uuid, null: false
      column :visit_id, :uuid, null: false
      column :number, :integer, null: false
      column :load_kg, "numeric(7,3)"
      column :repetitions, :integer, null: false
      column :leg, :text, null: false, default: ""
      column :how_cipher, :text
      column :clean, :boolean, null: false
      column :sends_back, :boolean, null: false
      foreign_key :watched_by, :accounts, type: :Bignum
      foreign_key :done_by, :accounts, type: :Bignum, null: false
      column :done_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key :taken_back_by, :accounts, type: :Bignum
      column :taken_back_at, :timestamptz
      foreign_key %i[visit_id gym_id], :visits, key: %i[id gym_id], name: :set_of_visit, on_delete: :cascade
      unique %i[visit_id number], name: :set_numbers_differ
      constraint(:set_number_range) { number =~ (1..50) }
      constraint(:set_load_range) { load_kg =~ (0..1000) }
      constraint(:set_repetitions_range) { repetitions =~ (1..200) }
      constraint :set_leg_known, leg: ["", "left", "right"]
      constraint(:set_not_clean_and_sent_back) { Sequel.lit("NOT (clean AND sends_back)") }
      constraint(:set_taken_back_whole) { Sequel.lit("num_nulls(taken_back_by, taken_back_at) IN (0, 2)") }
    end
  end

  down do
    drop_table :sets, :visits
    alter_table(:fittings) { drop_constraint :fitting_of_client_and_machine }
  end
end
