# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # What is asked of a session's plan. Keys are Possible's.
      #   minutes       what there is; aim: name of one of the gym's, nil: as every fitting has it
      #   programme_id, day   which day of which programme (from 0), nil: what is on the card
      #   kept          at least one set of these; out: none of these; taken: occupied just now, so not next
      #   sequence      keys in the order in which somebody wants them, [] where ranks and walks decide
      #   turns         [[key, key]] to be done in turn
      Wishes =
        Value.define(:minutes, :aim, :programme_id, :day, :kept, :out, :taken, :sequence, :turns) do
          def self.read(given)
            lists = %i[kept out taken sequence turns].to_h { |name| [name, given[name] || []] }
            new(
              **given.slice(:minutes),
              aim: given[:aim],
              programme_id: given[:programme_id],
              day: given[:day],
              **lists
            )
          end

          # As a session keeps them.
          def self.of_row(row)
            read({ **row[:wishes].to_h.transform_keys(&:to_sym), **row.slice(:minutes, :aim, :programme_id, :day) })
          end

          def lists = to_h.slice(:kept, :out, :taken, :sequence, :turns)
          def columns = { **to_h.slice(:minutes, :aim, :programme_id, :day), wishes: lists }
          def budget_s = minutes * 60
        end
    end
  end
end
