# frozen_string_literal: true

# Answers to writes, kept for a day under the key which the sender chose: the same request again gets the same answer.
Sequel.migration do
  change do
    create_table(:writes) do
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :cascade
      column :key, :uuid
      column :request_digest, :text, null: false
      column :status, :integer
      column :body, :text
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[account_id key]
      constraint(:write_status_known) { status =~ (200..499) }
      index :created_at
    end
  end
end
