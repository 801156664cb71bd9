# frozen_string_literal: true

# A movement that a phone reads: for a set or for a limit of a client. It lives while it is read; what was read is kept
# with the set or the fitting, encrypted like how the set went. A code opens it once; after that a secret of its own.
Sequel.migration do
  up do
    alter_table(:sets) { add_column :movement_cipher, :text }
    alter_table(:fittings) { add_column :movement_cipher, :text }

    create_table(:movements) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      column :gym_id, :uuid, null: false
      column :client_id, :uuid, null: false
      foreign_key :fitting_id, :fittings, type: :uuid, on_delete: :cascade
      column :limit_name, :text
      column :leg, :text, null: false, default: ""
      column :asked, :jsonb, null: false
      column :found, :jsonb, null: false, default: "{}"
      column :secret_digest, :text, null: false, unique: true
      column :ends_at, :timestamptz, null: false
      column :opened_at, :timestamptz
      column :ended_at, :timestamptz
      foreign_key :made_by, :accounts, type: :Bignum, null: false
      column :made_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key %i[client_id gym_id], :clients, key: %i[id gym_id], name: :movement_client_of_gym, on_delete: :cascade
      constraint(:movement_of_set_or_limit) { Sequel.lit("num_nonnulls(fitting_id, limit_name) = 1") }
      constraint(:movement_digest_form) { Sequel.lit("secret_digest ~ '^[0-9a-f]{64}$'") }
      constraint :movement_leg_known, leg: ["", "left", "right"]
      constraint(:movement_ends_once_opened) { Sequel.lit("ended_at IS NULL OR opened_at IS NOT NULL") }
      index :client_id
      index :fitting_id
    end

    create_table(:movement_samples) do
      foreign_key :movement_id, :movements, type: :uuid, on_delete: :cascade
      column :number, :integer
      column :samples, :jsonb, null: false
      primary_key %i[movement_id number]
      constraint(:movement_sample_number_range) { number =~ (1..4000) }
    end
  end

  down do
    drop_table :movement_samples, :movements
    alter_table(:sets) { drop_column :movement_cipher }
    alter_table(:fittings) { drop_column :movement_cipher }
  end
end
