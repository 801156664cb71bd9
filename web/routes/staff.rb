# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Who works in the gym, kept by whoever leads it: invitations, roles, closing, signing out, a new password.
      module Staff
        def self.registered(app)
          app.helpers Helpers

          app.get("/api/staff") { reply(everybody) }

          app.post("/api/staff/invitations") do
            write_once(status: 201) do
              name = Inputs::Name.tidy(input[:name], "/name")
              made = gym.colleagues.invite(name: name, **input.slice(:email, :role), by: staff[:id])
              link("invitation", made, name: name, to: input[:email].strip)
            end
          end

          app.post("/api/staff/invitations/:id/removal") do |id|
            write_once do
              refuse(:not_found) if gym.colleagues.withdraw(id).zero?
              everybody
            end
          end

          app.put("/api/staff/:account/role") do |account|
            of_colleague(account) { |row| gym.colleagues.change_role(row[:id], input[:role], version: input[:version]) }
          end

          app.post("/api/staff/:account/closing") do |account|
            of_colleague(account) { |row| gym.colleagues.close(row[:id], version: input[:version]) }
          end

          app.post("/api/staff/:account/opening") do |account|
            of_colleague(account) { |row| gym.colleagues.reopen(row[:id], version: input[:version]) }
          end

          app.post("/api/staff/:account/sign-out") do |account|
            of_colleague(account) { |row| gym.colleagues.end_sessions(row[:id]) }
          end

          app.post("/api/staff/:account/reset") do |account|
            write_once(status: 201) do
              row = found(gym.colleagues.find(account.to_i))
              refuse(:account_closed) unless row[:status_id] == Store::Staff::OPEN
              link("reset", gym.colleagues.reset(row[:id], by: staff[:id]), name: row[:name], to: row[:email])
            end
          end
        end

        # What these routes share.
        module Helpers
          def everybody = Views::Colleagues.of(Questions::Colleagues.of(gym, me: staff[:id]))

          # Yields the row; answers everybody as it is then.
          def of_colleague(account)
            write_once do
              yield found(gym.colleagues.find(account.to_i))
              everybody
            end
          end

          # Told on the screen, and sent as well where letters are.
          def link(kind, made, name:, to:)
            emailed = Post.of&.link(kind, made, gym: gym.row[:name], name: name, to: to)
            Views::StaffLink.of(made, at: request.base_url, emailed: emailed)
          end
        end
      end
    end
  end
end
