# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What a gym says of itself.
      module GymSettings
        # settings: Questions::GymSettings; now: the server's clock.
        def self.of(settings, now: Time.now)
          row = settings.row
          {
            backed_up: Told.time(settings.backed_up),
            backup_late: settings.backup_late?(now),
            name: row[:name],
            address: row[:address],
            wall_names: row[:wall_names],
            keep_years: row[:keep_years],
            ask_again_months: row[:ask_again_months],
            own_pages: row[:own_pages],
            idle_minutes: row[:idle_minutes],
            consent_text: row[:consent_text],
            length_unit: row[:length_unit],
            locale: row[:locale],
            cautions_reviewed_by: row[:cautions_reviewed_by],
            cautions_reviewed_on: row[:cautions_reviewed_on]&.iso8601,
            version: row[:settings_version]
          }
        end
      end
    end
  end
end
