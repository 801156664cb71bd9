# frozen_string_literal: true

# A caution that was written by mistake is taken out with a reason (encrypted) and stays in the table, so that it is
# seen who did so and why, and can be put back.
Sequel.migration do
  up do
    alter_table(:client_cautions) do
      add_column :removed_at, :timestamptz
      add_foreign_key :removed_by, :accounts, type: :Bignum
      add_column :removal_cipher, :text
      add_constraint(:caution_removal_whole) do
        Sequel.lit("num_nulls(removed_at, removed_by, removal_cipher) IN (0, 3)")
      end
    end
  end

  down do
    from(:client_cautions).exclude(removed_at: nil).delete
    alter_table(:client_cautions) do
      drop_constraint :caution_removal_whole
      %i[removed_at removed_by removal_cipher].each { |name| drop_column name }
    end
  end
end
