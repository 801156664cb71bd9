# frozen_string_literal: true

# A gym's own seconds for a family of machines, where they are not those of the school it chose: up (of which so many
# may be slow, over so many degrees), held, down, paused.
Sequel.migration do
  up do
    create_table(:gym_tempos) do
      foreign_key :gym_id, :gyms, type: :uuid, on_delete: :cascade
      column :family, :text
      %i[up_s hold_s down_s pause_s].each { |name| column name, "numeric(4,1)", null: false }
      column :slow_s, "numeric(4,1)"
      column :slow_deg, :integer
      primary_key %i[gym_id family]
      constraint(:tempo_family_form) { Sequel.lit("family ~ '^[a-z_]{1,40}$'") }
      constraint(:tempo_range) do
        Sequel.lit(
          "up_s BETWEEN 0.5 AND 60 AND down_s BETWEEN 0.5 AND 60 AND hold_s BETWEEN 0 AND 60 AND pause_s BETWEEN 0 " \
            "AND 60"
        )
      end
      constraint(:tempo_slow_whole) { Sequel.lit("num_nulls(slow_s, slow_deg) IN (0, 2)") }
      constraint(:tempo_slow_range) { Sequel.lit("slow_s > 0 AND slow_s < up_s AND slow_deg BETWEEN 1 AND 90") }
    end
    alter_table(:gyms) { add_column :tempos_version, :integer, null: false, default: 1 }
  end

  down do
    alter_table(:gyms) { drop_column :tempos_version }
    drop_table :gym_tempos
  end
end
