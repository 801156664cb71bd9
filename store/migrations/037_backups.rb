# frozen_string_literal: true

# Backups that were made of this database, and when each was checked: restored aside, counted and compared.
Sequel.migration do
  change do
    create_table(:backups) do
      column :made_at, :timestamptz, primary_key: true
      column :bytes, :bigint, null: false
      column :checked_at, :timestamptz
      constraint(:backup_has_bytes) { bytes > 0 }
    end
  end
end
