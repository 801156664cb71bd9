# frozen_string_literal: true

# Practising on people who are made up: what each member of staff did, apart from everything that is a client's. The
# machine lies beside it as it was described then, so that a seed stays what it is.
Sequel.migration do
  up do
    create_table(:practice_tasks) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :gym_id, :gyms, type: :uuid, null: false, on_delete: :cascade
      column :name, :text, null: false
      column :exercises, :jsonb, null: false
      foreign_key :made_by, :accounts, type: :Bignum, null: false
      column :made_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:practice_task_name_length) { Sequel.lit("char_length(name) BETWEEN 1 AND 80") }
      constraint(:practice_task_count) { Sequel.lit("jsonb_array_length(exercises) BETWEEN 1 AND 20") }
      index :gym_id
    end

    create_table(:practice_runs) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :gym_id, :gyms, type: :uuid, null: false, on_delete: :cascade
      foreign_key :account_id, :accounts, type: :Bignum, null: false
      foreign_key :task_id, :practice_tasks, type: :uuid, on_delete: :set_null
      column :number, :integer
      column :machine, :jsonb, null: false
      column :seed, :integer, null: false
      column :level, :text, null: false
      column :actions, :jsonb, null: false, default: "[]"
      column :total, :integer
      column :passed, :boolean
      column :begun_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :ended_at, :timestamptz
      constraint :practice_level_known, level: %w[plain usual hard]
      constraint(:practice_seed_range) { seed =~ (1..1_000_000) }
      constraint(:practice_total_range) { total =~ (0..100) }
      constraint(:practice_ended_whole) { Sequel.lit("num_nulls(total, passed, ended_at) IN (0, 3)") }
      index %i[account_id begun_at]
      index %i[task_id account_id number], unique: true, name: :practice_once_a_task
      index :gym_id
    end

    create_table(:practice_looks) do
      foreign_key :account_id, :accounts, type: :Bignum, primary_key: true
      foreign_key :gym_id, :gyms, type: :uuid, null: false, on_delete: :cascade
      foreign_key :looked_by, :accounts, type: :Bignum, null: false
      column :looked_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
    end
  end

  down { drop_table :practice_looks, :practice_runs, :practice_tasks }
end
