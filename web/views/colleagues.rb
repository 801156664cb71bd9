# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Who works in a gym, and who was asked to.
      module Colleagues
        module_function

        # colleagues: Questions::Colleagues.
        def of(colleagues)
          {
            staff: colleagues.staff.map { |row| one(row).merge(me: row[:id] == colleagues.me, **signed_in(row)) },
            invitations: colleagues.invitations.map { |row| invitation(row) }
          }
        end

        def one(row)
          { **row.slice(:id, :name, :email, :role, :version), open: Application::Questions::Colleagues.open?(row) }
        end

        def signed_in(row)
          { sessions: row[:sessions].to_i, devices: row[:devices], last: Told.time(row[:last_use]) }
        end

        def invitation(row)
          { **row.slice(:id, :name, :email, :role), ends_at: Told.time(row[:ends_at]) }
        end
        private_class_method :signed_in, :invitation
      end
    end
  end
end
