# frozen_string_literal: true

# The day on which somebody asked a client about cautions: an unanswered one bars. Whoever was entered before this was
# asked is taken to have been asked then, and is asked again after the time that the gym sets.
Sequel.migration do
  up do
    alter_table(:clients) { add_column :cautions_asked_on, :date }
    from(:clients).update(cautions_asked_on: Sequel.cast(:created_at, :date))
    alter_table(:gyms) do
      add_column :ask_again_months, :integer, null: false, default: 12
      add_constraint :gym_ask_again_range, Sequel.lit("ask_again_months BETWEEN 1 AND 60")
    end
  end

  down do
    alter_table(:gyms) { drop_column :ask_again_months }
    alter_table(:clients) { drop_column :cautions_asked_on }
  end
end
