# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # Practising on people who are made up; what a lead gives to practise, and looks at.
      module Practice
        def self.registered(app)
          app.helpers Helpers

          app.get("/api/practice") { reply(practice_page) }

          app.post("/api/practice/runs") do
            write_once(status: 201) do
              task = found(gym.practice.task(input[:task_id])) if input[:task_id]
              row =
                practising.begin(staff[:id], task: task, **input.slice(:number, :machine_id, :exercise, :level, :seed))
              run_page(row)
            end
          end

          app.get("/api/practice/runs/:id") { |id| reply(run_page(found(gym.practice.run(id, staff[:id])))) }

          app.post("/api/practice/runs/:id/actions") do |id|
            write_once(trail: false) do
              row = found(gym.practice.hold(id, staff[:id]))
              run_page(practising.act(row, input[:deed], after: input[:after]))
            end
          end

          app.get("/api/practice/runs/:id/debrief") do |id|
            row = found(gym.practice.run(id, staff[:id]))
            reply(Views::Practice.debrief(row, found(Application::Practising.verdict(row))))
          end

          app.post("/api/practice/tasks") do
            write_once(status: 201) do
              name = Inputs::Name.tidy(input[:name], "/name")
              practising.give(name, machines: input[:machines], level: input[:level], by: staff[:id])
              practice_page
            end
          end

          app.post("/api/practice/tasks/:id/removal") do |id|
            write_once do
              refuse(:not_found) if gym.practice.take_out(id).zero?
              practice_page
            end
          end

          app.post("/api/practice/people/:account/look") do |account|
            write_once do
              row = found(gym.colleagues.find(account.to_i))
              gym.practice.look(row[:id], by: staff[:id])
              practice_page
            end
          end
        end

        # What these routes share.
        module Helpers
          def practising = Application::Practising.new(gym)
          def run_page(row) = Views::Practice.run(row, Application::Practising.play(row))

          def practice_page
            asked = Questions::Practice.of(gym, staff[:id], everybody: staff[:role] == "lead")
            Views::Practice.page(asked, staff[:id])
          end
        end
      end
    end
  end
end
