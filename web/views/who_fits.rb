# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Who of the gym's people fits which machine of one joint action.
      module WhoFits
        module_function

        # answer: Application::WhoFits::Answer; actions: names of all that the gym has machines for.
        def of(answer, action, actions)
          {
            action: action,
            actions: actions.map { |name| { name: name, title: Formats::Words.say("actions.#{name}") } },
            machines: answer.machines.map { |one| machine(one) },
            nobody: answer.nobody.map { |client| Told::Names.client(client) },
            asked: answer.asked,
            of: answer.of
          }
        end

        # answer: Application::BestReading::Answer.
        def best_reading(answer)
          lengths =
            answer.lengths.map do |name, people|
              { observation: name, title: Formats::Words.say("observations.#{name}.title"), people: people }
            end
          { lengths: lengths, asked: answer.asked, of: answer.of }
        end

        def machine(one)
          {
            machine_id: one.machine_id,
            exercise: one.exercise,
            name: one.name,
            fit: one.fit,
            considered: one.considered,
            bands: Verglas::Machines::SEVERITIES.map { |band| { band: band, people: one.counts.fetch(band, 0) } }
          }
        end
        private_class_method :machine
      end
    end
  end
end
