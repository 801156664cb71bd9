# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # A client's caution: what it does, and whose word it defers to; without its note.
      module Caution
        module_function

        # row: of store's cautions; action: of the machine on which it is told, where it is told on one.
        def line(row, action: nil)
          { name: row[:caution], title: words(row[:caution], :title), does: does(row[:caution], action), side: row[:side], cleared: !row[:cleared_on].nil?,
            cleared_by: row[:cleared_by], cleared_on: row[:cleared_on]&.iso8601, degrees: degrees(row), load_to_kg: row[:load_to_kg]&.to_f }
        end

        # What it does on a machine, where that is said by itself; else on all of them.
        def does(name, action) = (action && Formats::Words.maybe("cautions.#{name}.here.#{action}")) || words(name, :does)

        # What a clinician allows, joint by joint.
        def degrees(row)
          row[:degrees].map do |motion, (from, upto)|
            words = [*(Formats::Words.say("motions.from", deg: from.round) if from), *(Formats::Words.say("motions.to", deg: upto.round) if upto)]
            { motion: motion, from: from, to: upto, says: "#{Formats::Words.say("motions.#{motion}")} #{words.join(" ")}" }
          end
        end

        # The same as the core knows it.
        def value(row)
          Guidance::Cautions::Caution.new(name: row[:caution].to_sym, cleared: !row[:cleared_on].nil?, degrees: Body::Envelope.new(row[:degrees].transform_keys(&:to_sym)),
                                          load_to_kg: row[:load_to_kg]&.to_f)
        end

        def words(name, part) = Formats::Words.say("cautions.#{name}.#{part}")
        private_class_method :degrees, :does
      end
    end
  end
end
