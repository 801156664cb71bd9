# frozen_string_literal: true

# The school that a gym chose of each contested question, and what an instructor chose otherwise for a client, with why.
Sequel.migration do
  change do
    create_table(:gym_rules) do
      foreign_key :gym_id, :gyms, type: :uuid, on_delete: :cascade
      column :question, :text
      column :school, :text, null: false
      foreign_key :set_by, :accounts, type: :Bignum, null: false
      column :set_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[gym_id question]
    end

    create_table(:client_rules) do
      foreign_key :client_id, :clients, type: :uuid, on_delete: :cascade
      column :question, :text
      column :school, :text, null: false
      column :reason, :text, null: false, default: ""
      foreign_key :set_by, :accounts, type: :Bignum, null: false
      column :set_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[client_id question]
      constraint(:client_rule_reason_length, Sequel.lit("char_length(reason) <= 200"))
    end
  end
end
