# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Who was here lately by the machines of the floor: what was fitted, what is due again, where a gap is, what is
      # barred.
      module Board
        module_function

        # weeks: back from now; place: of the machines that are shown, nil for all.
        def of(gym, weeks:, place: nil, now: Time.now)
          found = Store::Queries::BoardCards.new(gym).call(since: now - (weeks * 7 * 86_400))
          columns = columns(gym).select { |column| place.nil? || column[:place] == place }
          due = Application::RefitsDue.new(gym).call.to_h { |one| [one.row[:id], Refits.reasons(one)] }
          kept_off = Application::KeptOff.new(gym, found[:people].map { |row| row[:id] })
          {
            places: gym.machines.in_service.map { |row| row[:place] }.uniq,
            machines: columns.map { |column| column.except(:row) },
            people:
              found[:people].map do |row|
                {
                  **Client.summary(row).slice(:id, :name, :detail),
                  seen_at: Application::Told.time(row[:seen_at]),
                  cells: cells(row, columns, found[:cards], due, kept_off)
                }
              end
          }
        end

        def columns(gym)
          gym.machines.in_service.flat_map do |row|
            Store::Tables::Machines
              .exercises(row)
              .map do |exercise|
                {
                  row: row,
                  id: row[:id],
                  exercise: exercise.to_s,
                  code: row[:code],
                  name: Told::Names.machine(row[:name], exercise.to_s),
                  place: row[:place]
                }
              end
          end
        end

        # One a machine, in their order: barred with why, fitted, due again, or a gap.
        def cells(person, columns, cards, due, kept_off)
          columns.map do |column|
            bars = Told::Barred.of(kept_off.bars(person[:id], column[:row], column[:exercise]))
            card = cards[[person[:id], column[:id], column[:exercise]]]
            next { state: :barred, fitting_id: nil, why: bars } if bars.any?

            { state: state(card, due), fitting_id: card && card[:id], why: card ? due.fetch(card[:id], []) : [] }
          end
        end

        def state(card, due)
          return :gap unless card

          due.key?(card[:id]) ? :due : :fitted
        end
        private_class_method :columns, :cells, :state
      end
    end
  end
end
