# frozen_string_literal: true

# What clients decide of what is kept of them: what they agreed to and when, in the gym's words of that day, whether
# their fittings and sets teach; and since when somebody is put away who left.
Sequel.migration do
  up do
    alter_table(:gyms) do
      add_column :consent_text, :text, null: false, default: ""
      add_constraint(:gym_consent_text_length) { char_length(consent_text) <= 600 }
    end
    alter_table(:clients) do
      add_column :teaches, :boolean, null: false, default: true
      add_column :consented_on, :date
      add_column :consent_text, :text, null: false, default: ""
      add_column :consent_withdrawn_on, :date
      add_column :away_since, :date
      add_constraint(:client_consent_text_length) { char_length(consent_text) <= 600 }
      add_constraint(:client_consent_whole) { Sequel.lit("(consented_on IS NULL) = (consent_text = '')") }
      add_constraint(:client_consent_withdrawn_after) do
        Sequel.lit("consent_withdrawn_on IS NULL OR consent_withdrawn_on >= consented_on")
      end
      add_index :gym_id, name: :clients_untaught, where: { teaches: false }
      add_index %i[gym_id away_since], name: :clients_away, where: Sequel.~(away_since: nil)
    end
  end

  down do
    alter_table(:clients) do
      drop_constraint :client_consent_withdrawn_after
      drop_constraint :client_consent_whole
      drop_constraint :client_consent_text_length
      %i[away_since consent_withdrawn_on consent_text consented_on teaches].each { |name| drop_column name }
    end
    alter_table(:gyms) do
      drop_constraint :gym_consent_text_length
      drop_column :consent_text
    end
  end
end
