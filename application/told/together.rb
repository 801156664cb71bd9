# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # Adjusters of a machine that stand as one, the one that is set first: what they are called together, and their
      # marks where they are printed otherwise.
      class Together
        attr_reader :adjusters

        # One for each adjuster that is set by itself, in the machine's order.
        def self.of(machine)
          machine.leading.map { |place| new(machine.together(place).map { |one| machine.adjusters[one] }) }
        end

        # That of a label; of one that takes another's mark, that of the other.
        def self.fetch(machine, label)
          of(machine).find { |one| one.adjusters.any? { |adjuster| adjuster.label == label } }
        end

        def initialize(adjusters)
          @adjusters = adjusters
        end

        def label = adjusters.first.label
        def labels = adjusters.map(&:label)
        def marks = adjusters.first.marks

        # "Arm", "Arm and pad"; as it stands within a sentence.
        def name = Formats::Words.adjuster(said)
        def said = listed(labels)

        # A mark of the first, with what the others show then: "4", "4 and D".
        def mark(mark)
          index = marks.index(mark)
          index ? listed(adjusters.map { |one| one.marks[index] }.uniq) : mark
        end

        # As a step has them; alone: whether its sentence begins with the name. mark: nil where none is advised.
        def told(mark, alone:) = { adjuster: alone ? name : said, mark: mark && mark(mark) }

        private

        def listed(words)
          return words.first if words.one?

          Formats::Words.say("cautions.and", first: words[0..-2].join(", "), last: words.last)
        end
      end
    end
  end
end
