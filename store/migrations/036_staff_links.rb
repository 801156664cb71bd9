# frozen_string_literal: true

# Links of one use: an invitation to work here, a new password for somebody who lost theirs, and the code with which an
# empty server is begun. What opens one is kept as a digest alone.
Sequel.migration do
  up do
    alter_table(:accounts) { add_column :version, :integer, null: false, default: 1 }
    alter_table(:gyms) do
      add_column :length_unit, :text, null: false, default: "cm"
      add_constraint :gym_length_unit_known, length_unit: %w[cm in]
      add_column :cautions_reviewed_by, :text, null: false, default: ""
      add_column :cautions_reviewed_on, :date
      add_constraint(:gym_review_whole) { Sequel.lit("(cautions_reviewed_by = '') = (cautions_reviewed_on IS NULL)") }
      add_constraint(:gym_reviewer_length, Sequel.lit("char_length(cautions_reviewed_by) <= 80"))
    end
    create_table(:staff_links) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      column :kind, :text, null: false
      foreign_key :gym_id, :gyms, type: :uuid, on_delete: :cascade
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :cascade
      column :name, :text, null: false, default: ""
      column :email, :text, null: false, default: ""
      column :role, :text
      column :secret_digest, :text, null: false, unique: true
      foreign_key :made_by, :accounts, type: :Bignum
      column :made_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :ends_at, :timestamptz, null: false
      constraint :link_kind_known, kind: %w[invitation reset first]
      constraint :link_role_known, role: %w[lead instructor helper clinician]
      constraint(:link_digest_form) { Sequel.lit("secret_digest ~ '^[0-9a-f]{64}$'") }
      constraint(:link_of_its_kind) { Sequel.lit(<<~SQL) }
          CASE kind WHEN 'invitation' THEN gym_id IS NOT NULL AND account_id IS NULL AND role IS NOT NULL AND email <> ''
                    WHEN 'reset' THEN gym_id IS NOT NULL AND account_id IS NOT NULL
                    ELSE gym_id IS NULL AND account_id IS NULL END
        SQL
      index :gym_id
    end
  end

  down do
    drop_table :staff_links
    alter_table(:gyms) do
      %i[gym_reviewer_length gym_review_whole gym_length_unit_known].each { |name| drop_constraint name }
      %i[cautions_reviewed_on cautions_reviewed_by length_unit].each { |name| drop_column name }
    end
    alter_table(:accounts) { drop_column :version }
  end
end
