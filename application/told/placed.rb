# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What is placed with the marks (the feet on a plate, a link of a chain): where it stands, how far it can go, what
      # a touch either way would do.
      module Placed
        module_function

        # None where nothing can be told of it; without: names of what a caution forbids to add, which is offered only
        # to be taken off; bands: the gym's own, {N => what it is called}.
        def all(evaluation, without: [], bands: {})
          return [] if evaluation.findings.empty?

          offered =
            evaluation
              .machine
              .family
              .choices
              .each_value
              .select(&:placed?)
              .reject { |choice| without.include?(choice.name) && !evaluation.wishes[choice.name].positive? }
          offered.map do |choice|
            of(choice, evaluation, bands).then { |told| without.include?(choice.name) ? told.merge(up: nil) : told }
          end
        end

        def of(choice, evaluation, bands)
          value = evaluation.wishes[choice.name].round
          low, high =
            evaluation.mechanics.span(choice.name, evaluation.place).then { |least, most| [least.ceil, most.floor] }
          list = choice.of == :bands ? bands : {}
          {
            name: choice.name,
            title: words(choice, :title),
            value: value,
            **called(list, value),
            low: low,
            high: high,
            step: choice.step,
            **next_values(choice, value, list.keys).transform_values do |to|
              to && step(choice, evaluation, to, low..high)&.merge(called(list, to))
            end
          }
        end

        # What the gym calls it; nothing where it has no name there.
        def called(list, value) = { called: list[value] }.compact

        # By so much, or to the next one that the gym has; nil where there is none.
        def next_values(choice, value, list)
          return { down: value - choice.step, up: value + choice.step } if list.empty?

          all = [0, *list].sort
          { down: all.reverse.find { |one| one < value }, up: all.find { |one| one > value } }
        end

        # nil where it can go no further. Of what no number rests on, and has no step of its own, nothing is told but
        # the next value.
        def step(choice, evaluation, value, range)
          return unless range.cover?(value)
          return { value: value, short: "", severity: nil } unless choice.stage

          other = evaluation.placing(choice.name, value.to_f)
          { value: value, short: Finding.short(choice.name, other), severity: other.score.worst }
        end

        def words(choice, part) = Formats::Words.say("aids.#{choice.name}.#{part}")
        private_class_method :of, :called, :next_values, :step, :words
      end
    end
  end
end
