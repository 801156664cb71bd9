# frozen_string_literal: true

# On which kind of device a session was begun, as its browser says: so that whoever it belongs to knows which to end.
Sequel.migration do
  change do
    alter_table(:account_active_session_keys) do
      add_column :device, :text, null: false, default: ""
      add_constraint(:session_device_length, Sequel.lit("char_length(device) <= 60"))
    end
  end
end
