# frozen_string_literal: true

# Fittings: drafts on the bench, and what was accepted, with everything it was computed from.
Sequel.migration do
  change do
    create_table(:fittings) do
      column :id, :uuid, primary_key: true, default: Sequel.function(:gen_random_uuid)
      column :gym_id, :uuid, null: false
      column :client_id, :uuid, null: false
      column :machine_id, :uuid, null: false
      column :description_number, :integer, null: false
      column :state, :text, null: false, default: "draft"
      column :marks, :json, null: false
      column :version, :integer, null: false, default: 1
      foreign_key :created_by, :accounts, type: :Bignum, null: false
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key :updated_by, :accounts, type: :Bignum, null: false
      column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key :accepted_by, :accounts, type: :Bignum
      column :accepted_at, :timestamptz
      column :result, :json
      column :computed_from, :json
      foreign_key %i[client_id gym_id], :clients, key: %i[id gym_id], name: :fitting_client_of_gym
      foreign_key %i[machine_id gym_id], :machines, key: %i[id gym_id], name: :fitting_machine_of_gym
      foreign_key %i[machine_id description_number],
                  :machine_descriptions,
                  key: %i[machine_id number],
                  name: :fitting_description
      constraint :fitting_state_known, state: %w[draft accepted]
      constraint(:fitting_marks_are_an_object, Sequel.function(:json_typeof, :marks) => "object")
      constraint(:accepted_whole, Sequel.lit(<<~SQL))
        (state = 'draft' AND accepted_by IS NULL AND accepted_at IS NULL AND result IS NULL AND computed_from IS NULL) OR
        (state = 'accepted' AND accepted_by IS NOT NULL AND accepted_at IS NOT NULL AND result IS NOT NULL AND computed_from IS NOT NULL)
      SQL
      index %i[client_id machine_id], name: :one_draft_a_client_and_machine, unique: true, where: { state: "draft" }
      index %i[client_id machine_id accepted_at], name: :fittings_card
      index %i[gym_id state updated_at], name: :fittings_of_gym
    end
  end
end
