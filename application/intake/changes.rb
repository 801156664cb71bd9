# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # What becomes what, in a sentence, before it is taken in.
      module Changes
        module_function

        # A reading in mm; told in cm.
        def reading(name, from_mm, upto_mm)
          from, upto = [from_mm, upto_mm].map { |mm| mm && "#{Told::Load.number(mm / 10.0)} cm" }
          sentence(Formats::Words.say("observations.#{name}.title"), from, upto)
        end

        # from: nil where nothing stood there.
        def sentence(what, from, upto) = words(:changes, what: what, from: from || words(:nothing), to: upto)
        def words(key, **params) = Formats::Words.say("import.#{key}", **params)
      end
    end
  end
end
