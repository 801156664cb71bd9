# frozen_string_literal: true

# What is left of the fittings of somebody who was erased, where the gym keeps it for its machines: which marks stood,
# nothing of a person, no day but the month.
Sequel.migration do
  change do
    create_table(:nameless_fittings) do
      primary_key :id, type: :Bignum
      column :gym_id, :uuid, null: false
      column :machine_id, :uuid, null: false
      column :exercise, :text, null: false, default: ""
      column :marks, :json, null: false
      column :grade, :text
      column :month, :date, null: false
      foreign_key %i[machine_id gym_id], :machines, key: %i[id gym_id], name: :nameless_of_machine, on_delete: :cascade
      index %i[machine_id month], name: :nameless_of_machine_by_month
    end
  end
end
