# frozen_string_literal: true

# A client's own card on their phone, by a link that only they hold: kept as a digest, with when it was opened. A gym
# turns it on.
Sequel.migration do
  up do
    add_column :gyms, :own_pages, :boolean, null: false, default: false
    create_table(:client_links) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      column :gym_id, :uuid, null: false
      column :client_id, :uuid, null: false
      column :secret_digest, :text, null: false, unique: true
      foreign_key :made_by, :accounts, type: :Bignum, null: false
      column :made_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :opened_at, :timestamptz
      column :opened, :integer, null: false, default: 0
      foreign_key %i[client_id gym_id], :clients, key: %i[id gym_id], name: :link_client_of_gym, on_delete: :cascade
      constraint(:client_link_digest_form) { Sequel.lit("secret_digest ~ '^[0-9a-f]{64}$'") }
      index :client_id
    end
  end

  down do
    drop_table :client_links
    drop_column :gyms, :own_pages
  end
end
