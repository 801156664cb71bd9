# frozen_string_literal: true

# Counts of what was tried (passwords, PINs) within a time, shared by all processes, under a digest of who and from
# where. They stand in the place of a lock that anybody could turn on an account from outside.
Sequel.migration do
  up do
    create_table(:counters) do
      column :key_digest, :text, primary_key: true
      column :count, :integer, null: false
      column :ends_at, :timestamptz, null: false, index: true
      constraint(:counter_digest_form) { Sequel.lit("key_digest ~ '^[0-9a-f]{64}$'") }
    end
    drop_table :account_lockouts, :account_login_failures
  end

  down do
    create_table(:account_login_failures) do
      foreign_key :id, :accounts, type: :Bignum, primary_key: true
      column :number, :integer, null: false, default: 1
    end
    create_table(:account_lockouts) do
      foreign_key :id, :accounts, type: :Bignum, primary_key: true
      column :key, :text, null: false
      column :deadline, :timestamptz, null: false
      column :email_last_sent, :timestamptz
    end
    drop_table :counters
  end
end
