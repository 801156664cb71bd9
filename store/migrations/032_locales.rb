# frozen_string_literal: true

# A gym's locale is a language tag, as browsers take them: what is none stops every page that tells a date.
Sequel.migration do
  change do
    alter_table(:gyms) do
      add_constraint(:gym_locale_form, Sequel.lit("locale ~ '^[a-z]{2,3}(-[A-Z][a-z]{3})?(-([A-Z]{2}|[0-9]{3}))?$'"))
    end
  end
end
