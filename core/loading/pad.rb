# frozen_string_literal: true

module Verglas
  module Loading
    # What says where the load meets the leg, as {label => mark}: the far pad's adjusters; empty where a machine has
    # none. Loads compare only while each stands at one mark. docs/model.md section 11.
    module Pad
      def self.of(machine, marks)
        far = machine.adjusters.select { |adjuster| machine.family.kind_of(adjuster.drives)&.stage == :far }
        marks.slice(*far.map(&:label))
      end

      # {label => [from, to]} of what stands elsewhere, of pads or of any marks.
      def self.moved(from, upto)
        (from.keys & upto.keys)
          .reject { |label| from[label] == upto[label] }
          .to_h { |label| [label, [from[label], upto[label]]] }
      end
    end
  end
end
