# frozen_string_literal: true

module Verglas
  module Web
    # What a fitting holds: marks, cushions and pads, load, signs, note, what was seen by eye. From a request to the store's
    # fields, from a row to what is shown, and what a new one begins with.
    module Sheet
      module_function

      # A request's fields, as far as they were sent. bench: whose marks they must be.
      def of_input(bench, input)
        bench.machine.indices(input[:marks])
        sheet = input.slice(:marks, :load, :signs, :note, :knee_off_mm, :roller_seen)
        sheet[:aids] = Inputs::Aids.of(input[:aids]) if input.key?(:aids)
        refuse_unknown_signs(bench.machine, sheet.fetch(:signs, []))
        sheet
      end

      def of_row(row)
        { marks: row[:marks].to_h, aids: Inputs::Aids.of(row[:aids].to_h), load: row[:load], signs: row[:signs].to_a, note: Store::Secrets.open(row[:note_cipher], :note),
          knee_off_mm: row[:knee_off_mm]&.to_f, roller_seen: row[:roller_seen] }
      end

      # Of a fitting that is opened: as last accepted where that still stands on this machine, else as advised; the seat as the
      # station's other exercise has it.
      def at_opening(bench, last:, sibling:)
        advised = { marks: bench.advice.marks, aids: bench.advised_aids }
        kept = last && { marks: repaired(bench, last[:marks].to_h), aids: Inputs::Aids.of(last[:aids].to_h), load: last[:load] }
        sheet = kept || advised
        sibling ? sheet.merge(marks: repaired(bench, sheet[:marks].merge(sibling[:marks].to_h.slice(*bench.shared)))) : sheet
      end

      # Marks that were chosen on an older description of the machine: what is not there any more stands as advised.
      def repaired(bench, marks)
        bench.machine.adjusters.to_h do |adjuster|
          mark = marks[adjuster.label]
          [adjuster.label, adjuster.marks.include?(mark) ? mark : bench.advice.marks[adjuster.label]]
        end
      end

      def refuse_unknown_signs(machine, signs)
        unknown = signs - Fitting::Signs.of(machine).map(&:to_s)
        raise Invalid.new(:not_allowed, path: "/signs") unless unknown.empty?
      end
      private_class_method :refuse_unknown_signs
    end
  end
end
