# frozen_string_literal: true

# What is said that helps: the gym's own cues, and how often each helped for what (nobody stands there); and what of a
# set was done with help, which is counted apart.
Sequel.migration do
  up do
    create_table(:gym_cues) do
      foreign_key :gym_id, :gyms, type: :uuid, on_delete: :cascade
      column :name, :text
      column :about, :text
      column :words, :text, null: false, default: ""
      column :helped, :integer, null: false, default: 0
      column :tried, :integer, null: false, default: 0
      column :retired, :boolean, null: false, default: false
      primary_key %i[gym_id name about]
      constraint(:cue_name_form) { Sequel.lit("name ~ '^[a-z_]{1,40}$' AND about ~ '^[a-z_]{1,40}$'") }
      constraint(:cue_words_length) { Sequel.lit("char_length(words) <= 120") }
      constraint(:cue_counts) { Sequel.lit("helped BETWEEN 0 AND tried") }
    end
    alter_table(:sets) do
      add_column :kind, :text, null: false, default: ""
      add_column :helped, :integer, null: false, default: 0
      add_constraint :set_kind_known, kind: ["", "drop", "partner", "lowering", "self"]
      add_constraint(:set_helped_range) { helped =~ (0..50) }
    end
  end

  down do
    alter_table(:sets) do
      drop_constraint :set_kind_known
      drop_constraint :set_helped_range
      drop_column :kind
      drop_column :helped
    end
    drop_table :gym_cues
  end
end
