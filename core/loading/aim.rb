# frozen_string_literal: true

module Verglas
  module Loading
    # What a set is for, by the gym's own table: how many sets, of how many repetitions or (timed) seconds, at which
    # tempo, with how much rest. Both given: the seconds, and at so many repetitions it ends in any case.
    #   tempo   {up_s:, hold_s:, down_s:, pause_s:}; nil where the house rule says it
    Aim =
      Value.define(:name, :sets, :repetitions, :seconds, :rest_s, :tempo) do
        # rows: {name:, sets:, repetitions:, seconds:, rest_s:, up_s: ...} each, as a gym wrote them.
        # core/data/loads.yml has what holds where none did.
        def self.table(rows) = (rows.empty? ? Tables[:loads][:aims] : rows).map { |row| of(row) }

        def self.of(row)
          tempo = row[:up_s] && %i[up_s hold_s down_s pause_s].to_h { |part| [part, row[part].to_f] }
          new(**row.slice(:name, :sets, :rest_s), repetitions: row[:repetitions], seconds: row[:seconds], tempo: tempo)
        end

        # The tempo of a set with this aim, where the house rule's is another.
        def paced(by_rule)
          own = tempo ? Tempo.read(tempo) : by_rule
          seconds ? own.with(set_s: seconds, most_repetitions: repetitions) : own
        end
      end
  end
end
