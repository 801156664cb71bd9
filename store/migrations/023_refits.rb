# frozen_string_literal: true

# A re-fit that is due can wait: until when, who said so and why (encrypted). One a client, machine and exercise.
Sequel.migration do
  change do
    create_table(:refit_snoozes) do
      column :gym_id, :uuid, null: false
      column :client_id, :uuid
      column :machine_id, :uuid
      column :exercise, :text, default: ""
      column :until, :date, null: false
      column :reason_cipher, :text
      foreign_key :snoozed_by, :accounts, type: :Bignum, null: false
      column :snoozed_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[client_id machine_id exercise]
      foreign_key %i[client_id gym_id], :clients, key: %i[id gym_id], name: :snooze_client_of_gym, on_delete: :cascade
      foreign_key %i[machine_id gym_id],
                  :machines,
                  key: %i[id gym_id],
                  name: :snooze_machine_of_gym,
                  on_delete: :cascade
      index %i[gym_id until], name: :snoozes_of_gym
      index %i[machine_id gym_id], name: :snoozes_of_machine
    end
  end
end
