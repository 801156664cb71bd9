# frozen_string_literal: true

# Files on their way in: the bytes as they came, the rows that were read of them and what each would do. All of it lies
# encrypted, belongs to one gym, and is forgotten when it was taken in, let go, or a day has passed.
Sequel.migration do
  change do
    create_table(:imports) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :gym_id, :gyms, type: :uuid, null: false, on_delete: :cascade
      column :kind, :text, null: false
      column :units, :json, null: false
      column :state, :text, null: false, default: "arriving"
      column :bytes, :Bignum, null: false
      column :head, :json, null: false, default: "{}"
      column :rows, :integer, null: false, default: 0
      column :pieces, :integer, null: false, default: 0
      column :checked, :integer, null: false, default: 0
      column :counts, :json, null: false, default: "{}"
      foreign_key :made_by, :accounts, type: :Bignum, null: false
      column :made_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:import_kind_form) { Sequel.lit("kind ~ '\\A[a-z_]{1,20}\\Z'") }
      constraint :import_state_known, state: %w[arriving checking checked taken]
      constraint(:import_bytes_range) { bytes > 0 }
      index %i[gym_id made_at], name: :imports_of_gym
    end

    create_table(:import_chunks) do
      foreign_key :import_id, :imports, type: :uuid, on_delete: :cascade
      column :number, :integer
      column :size, :integer, null: false
      column :bytes_cipher, :text, null: false
      primary_key %i[import_id number]
    end

    create_table(:import_pieces) do
      foreign_key :import_id, :imports, type: :uuid, on_delete: :cascade
      column :number, :integer
      column :rows_cipher, :text, null: false
      column :outcomes_cipher, :text
      primary_key %i[import_id number]
    end

    # What a row is known by, and what it refers to, so that what stands twice or points at nothing is found without
    # holding it all.
    create_table(:import_keys) do
      foreign_key :import_id, :imports, type: :uuid, null: false, on_delete: :cascade
      column :row, :integer, null: false
      column :key, :text, null: false
      column :refers, :boolean, null: false
      index %i[import_id refers key], name: :import_keys_by_key
    end
  end
end
