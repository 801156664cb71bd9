# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What is probably behind the signs that were seen, and the notch (or the words) for each cause.
      module Signs
        STANDING = { 0 => "shown", 1 => "open", 2 => "denied" }.freeze

        module_function

        def of(evaluation, names)
          diagnosis = Verglas::Fitting::Diagnosis.new(evaluation)
          names.map { |name| { name: name, causes: diagnosis.suspects(name).map { |suspect| cause(suspect) } } }
        end

        def cause(suspect)
          name = suspect.cause.name
          { name: name, title: Formats::Words.say("causes.#{name}.title"), standing: STANDING.fetch(suspect.rank.first),
            says: suspect.to ? move(suspect) : Formats::Words.say("causes.#{name}.do"),
            move: suspect.to && { adjuster: suspect.adjuster, mark: suspect.to.marks[suspect.adjuster] } }
        end

        # The notch, and the number it is for as it would then be.
        def move(suspect)
          finding = suspect.to.findings.find { |candidate| candidate.code == (suspect.cause.finding || :offset) }
          Formats::Words.say("says.move", adjuster: Formats::Words.adjuster(suspect.adjuster), mark: suspect.to.marks[suspect.adjuster],
                                          result: Finding.lower(Finding.says(finding, suspect.to)))
        end
      end
    end
  end
end
