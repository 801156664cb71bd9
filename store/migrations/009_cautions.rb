# frozen_string_literal: true

# A client's cautions: since when, on which side, and who cleared them with which degrees. The note is encrypted.
Sequel.migration do
  up do
    create_table(:client_cautions) do
      foreign_key :client_id, :clients, type: :uuid, on_delete: :cascade
      column :caution, :text
      column :side, :text, null: false, default: ""
      column :since, :date
      column :cleared_by, :text, null: false, default: ""
      column :cleared_on, :date
      column :bend_from_deg, "numeric(4,1)"
      column :bend_to_deg, "numeric(4,1)"
      column :note_cipher, :text
      column :version, :integer, null: false, default: 1
      foreign_key :set_by, :accounts, type: :Bignum, null: false
      column :set_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[client_id caution]
      constraint :caution_side_known, side: ["", "left", "right", "both"]
      constraint(:caution_clearance_signed) { Sequel.lit("(cleared_by = '') = (cleared_on IS NULL)") }
      constraint(:caution_degrees_are_a_clinicians) do
        Sequel.lit("cleared_on IS NOT NULL OR (bend_from_deg IS NULL AND bend_to_deg IS NULL)")
      end
      constraint(:caution_degrees_in_range) do
        Sequel.lit("bend_from_deg BETWEEN 0 AND 160 AND bend_to_deg BETWEEN 0 AND 160 AND bend_from_deg <= bend_to_deg")
      end
      constraint(:caution_cleared_by_length) { char_length(cleared_by) <= 80 }
    end
  end

  down { drop_table :client_cautions }
end
