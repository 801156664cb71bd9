# frozen_string_literal: true

# A gym's table by aim: how many sets, of how many repetitions or seconds, at which tempo, with how much rest between
# them.
Sequel.migration do
  change do
    create_table(:gym_aims) do
      foreign_key :gym_id, :gyms, type: :uuid, on_delete: :cascade
      column :position, :integer
      column :name, :text, null: false
      column :sets, :integer, null: false
      column :repetitions, :integer
      column :seconds, :integer
      column :rest_s, :integer, null: false
      %i[up_s hold_s down_s pause_s].each { |name| column name, "numeric(4,1)" }
      primary_key %i[gym_id position]
      index [:gym_id, Sequel.function(:lower, :name)], name: :aim_names_differ, unique: true
      constraint(:aim_name_length) { char_length(name) =~ (1..30) }
      constraint(:aim_sets_range) { sets =~ (1..10) }
      constraint(:aim_repetitions_range) { repetitions =~ (1..100) }
      constraint(:aim_seconds_range) { seconds =~ (5..600) }
      constraint(:aim_counts_something) { Sequel.lit("num_nonnulls(repetitions, seconds) > 0") }
      constraint(:aim_rest_range) { rest_s =~ (0..900) }
      constraint(:aim_tempo_whole) { Sequel.lit("num_nulls(up_s, hold_s, down_s, pause_s) IN (0, 4)") }
      constraint(:aim_tempo_range) do
        Sequel.lit(
          "up_s BETWEEN 0.5 AND 60 AND down_s BETWEEN 0.5 AND 60 AND hold_s BETWEEN 0 AND 60 AND pause_s BETWEEN 0 " \
            "AND 60"
        )
      end
    end
    alter_table(:gyms) { add_column :aims_version, :integer, null: false, default: 1 }
  end
end
