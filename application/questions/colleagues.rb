# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # Who works in a gym, and who was asked to; me: the account of whoever asks.
      Colleagues =
        Value.define(:staff, :invitations, :me) do
          def self.of(gym, me:)
            new(staff: gym.colleagues.all, invitations: gym.colleagues.invitations, me: me)
          end

          # Whether somebody may sign in.
          def self.open?(row) = row[:status_id] == Store::Staff::OPEN
        end
    end
  end
end
