# frozen_string_literal: true

# Several people at one machine: who comes next. Several members of staff at one tablet: who signed in there in full,
# and the short PIN with which each takes it over.
Sequel.migration do
  up do
    add_column :account_active_session_keys, :locked, :boolean, null: false, default: false
    create_table(:machine_queues) do
      column :machine_id, :uuid
      column :exercise, :text, default: ""
      column :gym_id, :uuid, null: false
      column :clients, :json, null: false, default: "[]"
      column :standing, :json
      column :version, :integer, null: false, default: 1
      foreign_key :updated_by, :accounts, type: :Bignum, null: false
      column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[machine_id exercise]
      foreign_key %i[machine_id gym_id], :machines, key: %i[id gym_id], name: :queue_machine_of_gym, on_delete: :cascade
      constraint :queue_exercise_known, exercise: ["", "extension", "curl"]
      constraint(:queue_standing_is_an_object) { Sequel.lit("standing IS NULL OR json_typeof(standing) = 'object'") }
      constraint(:queue_is_a_list, Sequel.function(:json_typeof, :clients) => "array")
    end

    create_table(:account_pins) do
      foreign_key :id, :accounts, type: :Bignum, primary_key: true
      column :pin_hash, :text, null: false
      column :failures, :integer, null: false, default: 0
      column :set_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:pin_failures_range) { failures =~ (0..100) }
    end

    create_table(:tablet_staff) do
      column :tablet, :uuid
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :cascade
      column :signed_in_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[tablet account_id]
    end
  end

  down do
    drop_table :tablet_staff, :account_pins, :machine_queues
    drop_column :account_active_session_keys, :locked
  end
end
