# frozen_string_literal: true

# Two records of one person that became one: the other one stays, out of sight, with what the kept one had already; what
# moved and what was taken over is known, so that the two can be taken apart again. A set-up that a visit began from
# goes where its visit goes.
Sequel.migration do
  up do
    alter_table(:visits) { drop_constraint :visit_set_up_from }
    alter_table(:visits) do
      add_foreign_key %i[fitting_id client_id machine_id exercise],
                      :fittings,
                      key: %i[id client_id machine_id exercise],
                      name: :visit_set_up_from,
                      on_update: :cascade
    end
    alter_table(:clients) do
      add_column :joined_into, :uuid
      add_foreign_key %i[joined_into gym_id],
                      :clients,
                      key: %i[id gym_id],
                      name: :client_joined_of_gym,
                      on_delete: :cascade,
                      deferrable: true
      add_constraint(:client_joined_into_another) { Sequel.~(joined_into: :id) }
      add_index :joined_into, name: :clients_joined, where: Sequel.~(joined_into: nil)
      drop_index %i[gym_id search_name detail_digest], name: :clients_namesakes
      # A name that is out of sight is nobody's.
      add_index %i[gym_id search_name detail_digest],
                name: :clients_namesakes,
                unique: true,
                where: {
                  joined_into: nil
                }
    end
    create_table(:client_joins) do
      column :client_id, :uuid, primary_key: true
      column :gym_id, :uuid, null: false
      foreign_key :joined_by, :accounts, type: :Bignum, null: false
      column :joined_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      # {table => [ids]}, and the names of what the kept record took over.
      column :moved, :json, null: false
      column :taken, :json, null: false
      foreign_key %i[client_id gym_id], :clients, key: %i[id gym_id], name: :join_client_of_gym, on_delete: :cascade
    end
  end

  down do
    drop_table :client_joins
    alter_table(:clients) do
      drop_index %i[gym_id search_name detail_digest], name: :clients_namesakes
      drop_index :joined_into, name: :clients_joined
      drop_constraint :client_joined_into_another
      drop_column :joined_into
      add_index %i[gym_id search_name detail_digest], name: :clients_namesakes, unique: true
    end
    alter_table(:visits) { drop_constraint :visit_set_up_from }
    alter_table(:visits) do
      add_foreign_key %i[fitting_id client_id machine_id exercise],
                      :fittings,
                      key: %i[id client_id machine_id exercise],
                      name: :visit_set_up_from
    end
  end
end
