# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Who was here lately by the machines of the floor: what was fitted, what is due again, where a gap is, what is
      # barred.
      module Board
        module_function

        # board: Questions::Board.
        def of(board)
          {
            places: board.places,
            machines: board.columns.map { |row, exercise| column(row, exercise) },
            people: board.people.map { |row| person(row, board) }
          }
        end

        def column(row, exercise)
          {
            id: row[:id],
            exercise: exercise,
            code: row[:code],
            name: Told::Names.machine(row[:name], exercise),
            place: row[:place]
          }
        end

        def person(row, board)
          {
            **Client.summary(row).slice(:id, :name, :detail),
            seen_at: Application::Told.time(row[:seen_at]),
            cells: board.columns.map { |machine, exercise| cell(row[:id], machine, exercise, board) }
          }
        end

        # Barred with why, fitted, due again, or a gap.
        def cell(client_id, machine, exercise, board)
          bars = Told::Barred.of(board.bars(client_id, machine, exercise))
          card = board.cards[[client_id, machine[:id], exercise]]
          return { state: :barred, fitting_id: nil, why: bars } if bars.any?

          due = card && board.due[card[:id]]
          { state: state(card, due), fitting_id: card && card[:id], why: due ? Refits.reasons(due) : [] }
        end

        def state(card, due)
          return :gap unless card

          due ? :due : :fitted
        end
        private_class_method :column, :person, :cell, :state
      end
    end
  end
end
