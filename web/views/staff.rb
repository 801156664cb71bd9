# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Who is signed in.
      module Staff
        # pin: whether a PIN is kept, with which a shared tablet is taken over.
        def self.of(row, gym_row, pin:)
          {
            id: row[:id],
            name: row[:name],
            role: row[:role],
            length_unit: row[:length_unit],
            short_bench: row[:short_bench],
            pin: pin,
            may: Roles.shared.allowed(row[:role]),
            gym: {
              name: gym_row[:name],
              locale: gym_row[:locale],
              idle_minutes: gym_row[:idle_minutes]
            }
          }
        end
      end
    end
  end
end
