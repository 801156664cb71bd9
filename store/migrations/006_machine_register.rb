# frozen_string_literal: true

# Machines that a gym enters and tapes itself: who stands where, what the walk-round found, what the maker allows,
# photographs; stations with several exercises; who taped each length; and the cushions and pads that the gym owns.
Sequel.migration do
  up do
    alter_table(:machines) do
      add_column :code, :text, null: false, default: ""
      add_column :state, :text, null: false, default: "in_use"
      add_column :state_note, :text, null: false, default: ""
      add_column :getting_in, :text, null: false, default: ""
      add_column :getting_out, :text, null: false, default: ""
      add_column :left_behind, :text, null: false, default: ""
      add_column :slack_from_deg, "numeric(5,1)"
      add_column :user_mass_limit_kg, "numeric(5,1)"
      add_column :least_age_years, :integer
      add_column :cushions_allowed, :boolean, null: false, default: false
      add_foreign_key :copied_from, :machines, type: :uuid
      add_column :version, :integer, null: false, default: 1
      add_column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      add_constraint(:machine_code_length) { char_length(code) <= 20 }
      add_constraint :machine_state_known, state: %w[in_use out_of_order retired]
      add_constraint(:machine_words_length) do
        (char_length(state_note) <= 200) & (char_length(getting_in) <= 400) & (char_length(getting_out) <= 400) &
          (char_length(left_behind) <= 400)
      end
      add_constraint(:machine_slack_range) { slack_from_deg =~ (-60..180) }
      add_constraint(:machine_mass_limit_range) { user_mass_limit_kg =~ (40..400) }
      add_constraint(:machine_least_age_range) { least_age_years =~ (8..100) }
      add_index %i[gym_id code], name: :machine_codes_differ, unique: true, where: Sequel.~(code: "")
    end

    alter_table(:machine_descriptions) do
      add_column :exercises, :json, null: false, default: "{}"
      add_column :taped, :json, null: false, default: "{}"
      add_constraint(:exercises_are_an_object, Sequel.function(:json_typeof, :exercises) => "object")
      add_constraint(:taped_is_an_object, Sequel.function(:json_typeof, :taped) => "object")
    end

    create_table(:machine_photographs) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :machine_id, :machines, type: :uuid, null: false, on_delete: :cascade
      column :adjuster, :text, null: false, default: ""
      column :jpeg, :bytea, null: false
      column :width_px, :integer, null: false
      column :height_px, :integer, null: false
      foreign_key :taken_by, :accounts, type: :Bignum, null: false
      column :taken_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      unique %i[machine_id adjuster], name: :one_photograph_a_place
      constraint(:photograph_size) { octet_length(jpeg) =~ (100..700_000) }
      constraint(:photograph_scaled) { (width_px =~ (1..1600)) & (height_px =~ (1..1600)) }
    end

    create_table(:gym_equipment) do
      foreign_key :gym_id, :gyms, type: :uuid, on_delete: :cascade
      column :kind, :text
      column :size_mm, "numeric(5,1)"
      primary_key %i[gym_id kind size_mm]
      constraint :equipment_kind_known, kind: %w[cushion_back cushion_seat hip_pad]
      constraint(:equipment_size_range) { size_mm =~ (1..200) }
    end
  end

  down do
    drop_table :gym_equipment, :machine_photographs
    alter_table(:machine_descriptions) do
      %i[exercises_are_an_object taped_is_an_object].each { |name| drop_constraint name }
      %i[exercises taped].each { |name| drop_column name }
    end
    alter_table(:machines) do
      drop_index %i[gym_id code], name: :machine_codes_differ
      %i[
        machine_code_length
        machine_state_known
        machine_words_length
        machine_slack_range
        machine_mass_limit_range
        machine_least_age_range
      ].each { |name| drop_constraint name }
      %i[
        code
        state
        state_note
        getting_in
        getting_out
        left_behind
        slack_from_deg
        user_mass_limit_kg
        least_age_years
        cushions_allowed
        copied_from
        version
        updated_at
      ].each { |name| drop_column name }
    end
  end
end
