# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # The gym's machines: entering, correcting, taping, copying; who fits them.
      module Machines
        def self.registered(app)
          app.helpers Helpers
          app.get("/api/machines") { reply(machines: Views::Machine.list(Questions::Machines.of(gym))) }
          app.get("/api/families") { reply(families: Views::Families.all) }
          app.get("/api/machines/:id") { |id| reply(machine_page(machine_row(id))) }

          app.post("/api/machines") do
            write_once(status: 201) do
              family = Verglas::Machines::Families.fetch(input[:family])
              id =
                gym.machines.insert(
                  family: input[:family],
                  description: Inputs::Machine.adjusters(input, family),
                  by: staff[:id],
                  **Inputs::Machine.facts(input, family.plain_exercises.values)
                )
              checked_page(id)
            end
          end

          app.patch("/api/machines/:id") do |id|
            write_once do
              row = machine_row(id)
              refuse_used(id) if input[:state] == "considered"
              gym.machines.update(
                id,
                version: input[:version],
                by: staff[:id],
                description: new_description(row),
                **Inputs::Machine.facts(input, Verglas::Machines::Families.fetch(row[:family]).plain_exercises.values)
              )
              checked_page(id)
            end
          end

          # One length or one adjuster's travel. What looks like a slip is refused with why; the same confirmed stands.
          app.put("/api/machines/:id/lengths") do |id|
            write_once(as: ("take_in_length" if input[:learned])) do
              row = machine_row(id)
              note = { by: staff[:id], at: Time.now.utc.iso8601 }
              taping = input[:learned] ? by_fittings(row, **note) : taping(row, **note)
              refuse_odd(taping)
              gym.machines.update(id, version: input[:version], by: staff[:id], description: taping.description)
              machine_page(machine_row(id))
            end
          end

          # What a length would do; nothing is written.
          app.post("/api/machines/:id/trial") { |id| reply(Views::Taping.trial(taping(machine_row(id)), typed_unit)) }

          app.post("/api/machines/:id/copy") do |id|
            write_once(status: 201) { machine_page(machine_row(copy(machine_row(id)))) }
          end

          app.get("/api/machines/:id/population") do |id|
            reply(Application::Population.new(gym, machine_row(id), exercise: params["exercise"].to_s[/.+/]).fits)
          end

          app.get("/api/machines/:id/errors") do |id|
            reply(Views::MachineErrors.of(Application::MachineErrors.of(gym, machine_row(id))))
          end

          app.get("/api/machines/:id/widening") do |id|
            row = machine_row(id)
            exercise = exercise_of(row, params["exercise"])
            reply(Views::Widening.of(Application::Widening.of(gym, row, exercise[/.+/])))
          end

          app.get("/api/machines/:id/replacement") do |id|
            row = machine_row(id)
            reply(Views::Replacement.of(Application::Replacing.new(gym, row), params["instead"], params["from"].to_i))
          end

          app.post("/api/machines/:id/replacement") do |id|
            write_once do
              Application::Replacing.new(gym, machine_row(id)).replace(
                input[:instead],
                version: input[:version],
                by: staff[:id]
              )
              machine_page(machine_row(id))
            end
          end

          app.get("/api/best-reading") { reply(Views::WhoFits.best_reading(Application::BestReading.of(gym))) }

          app.get("/api/who-fits") do
            actions = Application::WhoFits.actions(gym)
            action = params.fetch("action") { actions.first }&.to_sym
            raise Invalid.new(:not_allowed, path: "/action") unless action.nil? || actions.include?(action)

            reply(Views::WhoFits.of(Application::WhoFits.of(gym, action), action, actions))
          end

          app.get("/api/machines/:id/changes") do |id|
            row = machine_row(id)
            earlier = row[:number] > 1 && gym.machines.described_as(id, row[:number] - 1)
            reply(
              earlier ? Application::Population.new(gym, row).changed_since(earlier) : { clients: [], asked: 0, of: 0 }
            )
          end
        end

        # What these routes share.
        module Helpers
          def machine_page(row) = Views::MachinePage.of(Questions::MachinePage.of(gym, row))

          # The page of what was just written; reading it refuses a description that does not add up, and the write with
          # it.
          def checked_page(id)
            row = machine_row(id)
            Application::Described.check(row)
            machine_page(row)
          end

          def refuse_used(id)
            raise Invalid.new(:machine_used, path: "/state") if gym.fittings.closed_on?(id)
          end

          def new_description(row)
            return unless input.key?(:adjusters) || input.key?(:exercises)

            before = { adjusters: row[:adjusters].to_a, exercises: row[:exercises].to_h }
            changed = Inputs::Machine.adjusters(input, Verglas::Machines::Families.fetch(row[:family]), before: before)
            { constants: row[:constants].to_h, taped: row[:taped].to_h, **changed }
          end

          def taping(row, **given)
            taping = Application::Taping.new(row, exercise: input[:exercise].to_s[/.+/], **given)
            return taping.travel(input[:adjuster], input[:travel]) if input.key?(:adjuster)

            input.key?(:name) ? taping.constant(input[:name], input[:value]) : taping
          end

          # A length as the fittings have it, and not as somebody typed it.
          def by_fittings(row, **note)
            learned =
              Application::MachineErrors
                .of(gym, row)
                .find do |one|
                  [one.exercise, one.constant.to_s] == [input[:exercise].to_s, input[:name]] && one.corrected
                end
            raise Invalid.new(:nothing_learned, path: "/learned") unless learned && learned.corrected == input[:value]

            Application::Taping.new(
              row,
              exercise: input[:exercise].to_s[/.+/],
              **note,
              learned: learned.bias.count
            ).constant(input[:name], learned.corrected)
          end

          def typed_unit = input.fetch(:unit, "cm")

          def refuse_odd(taping)
            odd = taping.remarks_on(input.key?(:adjuster) ? taping.driven(input[:adjuster]) : [input[:name]])
            return if odd.empty? || input[:confirmed] || (input.key?(:value) && input[:value].nil?)

            says = Application::Told::Remark.says(odd.first, taping.machine, typed_unit)
            raise Invalid.new(:odd_length, path: input.key?(:adjuster) ? "/travel" : "/value", says: says)
          end

          # Another of the same make: what was taped was taped elsewhere, and is to be checked here.
          def copy(row)
            taped = row[:taped].to_h.transform_values { |one| one.merge("copied" => true) }
            facts = row.slice(*Store::Tables::Machines::FACTS - %i[name code state state_note])
            parts = {
              constants: row[:constants].to_h,
              adjusters: row[:adjusters].to_a,
              exercises: row[:exercises].to_h
            }
            gym.machines.insert(
              family: row[:family],
              name: Inputs::Machine.name(input[:name]),
              description: {
                **parts,
                taped: taped
              },
              by: staff[:id],
              copied_from: row[:id],
              **facts
            )
          end
        end
      end
    end
  end
end
