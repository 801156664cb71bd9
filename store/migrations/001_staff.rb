# frozen_string_literal: true

# Gyms and the staff who sign in, with the tables that Rodauth keeps.
Sequel.migration do
  up do
    run "CREATE EXTENSION IF NOT EXISTS pg_trgm"
    run "CREATE EXTENSION IF NOT EXISTS unaccent"
    # Accents, case, hyphens and apostrophes taken off. unaccent is only STABLE, because its dictionary could change;
    # ours does not, and an index needs IMMUTABLE.
    run <<~SQL
      CREATE FUNCTION folded(value text) RETURNS text LANGUAGE sql IMMUTABLE PARALLEL SAFE STRICT
      RETURN translate(lower(public.unaccent('public.unaccent'::regdictionary, value)), '-''', '  ')
    SQL

    create_table(:gyms) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      column :name, :text, null: false
      column :locale, :text, null: false, default: "en-GB"
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:gym_name_length) { char_length(name) =~ (1..80) }
    end

    create_table(:accounts) do
      primary_key :id, type: :Bignum
      foreign_key :gym_id, :gyms, type: :uuid, null: false
      column :email, :text, null: false
      column :name, :text, null: false
      column :role, :text, null: false, default: "instructor"
      column :length_unit, :text, null: false, default: "cm"
      column :status_id, :integer, null: false, default: 2
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:account_email_form, Sequel.like(:email, "_%@_%"))
      constraint(:account_name_length) { char_length(name) =~ (1..80) }
      constraint :account_role_known, role: %w[instructor lead clinician]
      constraint :account_length_unit_known, length_unit: %w[cm in]
      constraint :account_status_known, status_id: [1, 2, 3]
      index :gym_id
      index Sequel.function(:lower, :email), name: :accounts_email, unique: true, where: { status_id: [1, 2] }
    end

    create_table(:account_password_hashes) do
      foreign_key :id, :accounts, type: :Bignum, primary_key: true
      column :password_hash, :text, null: false
    end
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
    create_table(:account_active_session_keys) do
      foreign_key :account_id, :accounts, type: :Bignum
      column :session_id, :text
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :last_use, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[account_id session_id]
    end
  end

  down do
    drop_table :account_active_session_keys,
               :account_lockouts,
               :account_login_failures,
               :account_password_hashes,
               :accounts,
               :gyms
    run "DROP FUNCTION folded(text)"
    run "DROP EXTENSION unaccent"
    run "DROP EXTENSION pg_trgm"
  end
end
