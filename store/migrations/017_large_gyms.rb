# frozen_string_literal: true

# Floor and machine pages ask for the latest of a gym: each from an index, however many there are. Readings know their
# gym for that.
Sequel.migration do
  up do
    alter_table(:readings) { add_column :gym_id, :uuid }
    from(:readings).update(gym_id: from(:clients).where(id: Sequel[:readings][:client_id]).select(:gym_id))
    alter_table(:readings) do
      set_column_not_null :gym_id
      add_foreign_key %i[client_id gym_id],
                      :clients,
                      key: %i[id gym_id],
                      name: :reading_client_of_gym,
                      on_delete: :cascade
      add_index %i[gym_id taken_at], name: :readings_of_gym
    end
    alter_table(:fittings) do
      add_index %i[gym_id accepted_at], name: :accepted_of_gym, where: { state: "accepted" }
      add_index %i[gym_id updated_at], name: :begun_of_gym, where: Sequel.lit("state = 'draft' AND touched")
      add_index %i[gym_id updated_at], name: :discarded_of_gym, where: { state: "discarded" }
      add_index %i[client_id accepted_at], name: :accepted_of_client, where: { state: "accepted" }
    end
    alter_table(:clients) { add_index %i[gym_id id], name: :clients_of_gym }
  end

  down do
    alter_table(:clients) { drop_index %i[gym_id id], name: :clients_of_gym }
    alter_table(:fittings) do
      {
        accepted_of_gym: %i[gym_id accepted_at],
        begun_of_gym: %i[gym_id updated_at],
        discarded_of_gym: %i[gym_id updated_at],
        accepted_of_client: %i[client_id accepted_at]
      }.each { |name, columns| drop_index columns, name: name }
    end
    alter_table(:readings) do
      drop_index %i[gym_id taken_at], name: :readings_of_gym
      drop_foreign_key %i[client_id gym_id], name: :reading_client_of_gym
      drop_column :gym_id
    end
  end
end
