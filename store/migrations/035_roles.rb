# frozen_string_literal: true

# Helpers beside leads, instructors and clinicians; and which clients a clinician was shown.
Sequel.migration do
  roles = %w[lead instructor helper clinician]
  up do
    alter_table(:accounts) do
      drop_constraint :account_role_known
      add_constraint :account_role_known, role: roles
      add_unique_constraint %i[id gym_id], name: :account_of_gym
    end
    create_table(:client_shares) do
      column :client_id, :uuid
      column :account_id, :bigint
      column :gym_id, :uuid, null: false
      foreign_key :shared_by, :accounts, type: :Bignum, null: false
      column :shared_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[client_id account_id]
      foreign_key %i[client_id gym_id], :clients, key: %i[id gym_id], name: :share_client_of_gym, on_delete: :cascade
      foreign_key %i[account_id gym_id], :accounts, key: %i[id gym_id], name: :share_account_of_gym, on_delete: :cascade
      index :account_id
    end
  end

  down do
    drop_table :client_shares
    from(:accounts).where(role: "helper").update(role: "instructor")
    alter_table(:accounts) do
      drop_constraint :account_of_gym, type: :unique
      drop_constraint :account_role_known
      add_constraint :account_role_known, role: roles - %w[helper]
    end
  end
end
