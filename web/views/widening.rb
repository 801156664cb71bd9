# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Which single change of a machine would bring more people in line, in sentences.
      module Widening
        module_function

        # answer: Application::Widening::Answer.
        def of(answer)
          {
            in_line: answer.in_line,
            asked: answer.asked,
            of: answer.of,
            changes: answer.gains.map { |gain| { people: gain.people, says: says(gain.change) } }
          }
        end

        def says(change)
          return words("added.#{change.label}", size: change.mm) if change.kind == :added

          words(
            change.kind,
            adjuster: Formats::Words.adjuster(change.label),
            near: change.near,
            following: change.next,
            size: change.mm
          )
        end

        def words(key, **params) = Formats::Words.say("widening.#{key}", **params)
        private_class_method :says, :words
      end
    end
  end
end
