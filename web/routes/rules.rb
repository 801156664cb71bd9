# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # House rules: the gym's school of each contested question, and a client's own.
      module Rules
        def self.registered(app)
          app.get("/api/rules") { reply(Views::Rules.of_gym(Questions::GymRules.of(gym))) }

          app.put("/api/rules/:question") do |name|
            write_once do
              school = school_of(name).to_s
              gym.revise(:rules, version: input[:version]) { gym.rules.set(name, school, by: staff[:id]) }
              Views::Rules.of_gym(Questions::GymRules.of(gym))
            end
          end

          # What another school would change; nothing is written.
          app.post("/api/rules/:question/changes") do |name|
            reply(Application::RuleChanges.new(gym, Guidance::HouseRules.fetch(name), school_of(name)).call)
          end

          # A gym can only be stricter than the table: nobody with the caution is fitted until a clinician has cleared
          # it.
          app.put("/api/gym/cautions/:caution") do |name|
            write_once do
              caution = Guidance::Cautions.fetch(name).name.to_s
              gym.revise(:rules, version: input[:version]) do
                gym.cautions.set_stricter(caution, input[:stricter], by: staff[:id])
              end
              Views::Rules.of_gym(Questions::GymRules.of(gym))
            end
          end

          app.get("/api/clients/:id/rules") do |id|
            reply(Views::Rules.of_client(Questions::ClientRules.of(gym, client_row(id))))
          end

          app.put("/api/clients/:id/rules/:question") do |id, name|
            write_once do
              client = client_row(id)
              school = input[:school] && school_of(name).to_s
              Guidance::HouseRules.fetch(name)
              gym
                .clients
                .revise_rules(client[:id], version: input[:version]) do
                  gym.rules.set_for_client(
                    client[:id],
                    name,
                    school,
                    reason: input.fetch(:reason, "").strip,
                    by: staff[:id]
                  )
                end
              Views::Rules.of_client(Questions::ClientRules.of(gym, client_row(id)))
            end
          end
          app.helpers Helpers
        end

        # What these routes share.
        module Helpers
          def school_of(question) = Guidance::HouseRules.school(question, input[:school])
        end
      end
    end
  end
end
