# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What is probably behind the signs that were seen, and the notch (or the words) for each cause.
      module Signs
        STANDING = { 0 => "shown", 1 => "open", 2 => "denied" }.freeze

        module_function

        # seen: the knee of a creep test, which outranks the geometry; nil where none was read.
        def of(evaluation, names, seen: nil)
          diagnosis = Verglas::Fitting::Diagnosis.new(evaluation, seen: seen)
          names.map { |name| { name: name, causes: diagnosis.suspects(name).map { |suspect| cause(suspect, seen) } } }
        end

        # Which end a fitting at once, and what to do then.
        def stops
          Verglas::Fitting::Signs::STOPS.map { |name| { name: name, title: Formats::Words.say("stops.#{name}.title"), do: Formats::Words.say("stops.#{name}.do") } }
        end

        def cause(suspect, seen)
          name = suspect.cause.name
          { name: name, title: Formats::Words.say("causes.#{name}.title"), standing: STANDING.fetch(suspect.rank.first),
            probability: suspect.probability&.clamp(0.0, 1.0)&.round(3),
            says: suspect.to ? move(suspect, seen) : Formats::Words.say("causes.#{name}.do"),
            move: suspect.to && { adjuster: suspect.adjuster, mark: suspect.to.marks[suspect.adjuster] } }
        end

        # The notch, and the number it is for as it would then be.
        def move(suspect, seen)
          finding = suspect.to.findings.find { |candidate| candidate.code == (suspect.cause.finding || :offset) }
          Formats::Words.say("says.move", adjuster: Formats::Words.adjuster(suspect.adjuster), mark: suspect.to.marks[suspect.adjuster],
                                          result: Finding.lower(result(finding, suspect.to, seen)))
        end

        def result(finding, to, seen) = seen && finding.code == :offset ? Finding.knee(seen.at(to), to) : Finding.says(finding, to)
        private_class_method :cause, :move, :result
      end
    end
  end
end
