# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What is probably behind the signs that were seen, and the notch (or the words) for each cause.
      module Signs
        STANDING = { 0 => "shown", 1 => "open", 2 => "denied" }.freeze

        module_function

        # seen: the knee of a creep test, which outranks the geometry; nil where none was read. sizes: {choice => what
        # the gym has and the machine takes, mm}.
        # cues: Application::SaidCues.
        def of(evaluation, names, cues:, seen: nil, sizes: {})
          diagnosis = Verglas::Guidance::Diagnosis.new(evaluation, seen: seen, sizes: sizes)
          names.map { |name| { **sign(name, diagnosis.suspects(name), seen), cues: Cues.list(cues.of(name)) } }
        end

        # then: what to do where none of the causes is shown by the numbers, so that the talk never ends there.
        def sign(name, suspects, seen)
          {
            name: name,
            causes: suspects.map { |suspect| cause(suspect, seen) },
            never: Verglas::Guidance::Signs.never([name]).any?,
            then: onward(name, suspects, seen)
          }
        end

        def onward(name, suspects, seen)
          told = Verglas::Guidance::Signs::ALL.fetch(name)
          shown = suspects.any? { |suspect| suspect.rank.first.zero? }
          [
            (words(:never) if told.never),
            (words(seen ? :look : creep_or_look(suspects)) unless shown),
            (words(:refer) if told.refer)
          ].compact.join(" ")
        end

        # A knee that may be off its pivot is read from the creep; anything else is looked at.
        def creep_or_look(suspects)
          suspects.any?(&:of_joint) ? :creep : :look
        end

        def words(key) = Formats::Words.say("onward.#{key}")

        # Which end a fitting at once, and what to do then.
        def stops
          Verglas::Guidance::Signs::STOPS.map do |name|
            { name: name, title: Formats::Words.say("stops.#{name}.title"), do: Formats::Words.say("stops.#{name}.do") }
          end
        end

        def cause(suspect, seen)
          name = suspect.cause.name
          {
            name: name,
            title: Formats::Words.say("causes.#{name}.title"),
            standing: STANDING.fetch(suspect.rank.first),
            probability: suspect.probability&.clamp(0.0, 1.0)&.round(3),
            says: says(suspect, seen),
            move: suspect.adjuster && { adjuster: suspect.adjuster, mark: suspect.to.marks[suspect.adjuster] }
          }
        end

        # The move that there is; else what is done without one.
        def says(suspect, seen)
          return Formats::Words.say("causes.#{suspect.cause.name}.do") unless suspect.to
          return move(suspect, seen) if suspect.adjuster

          placed(suspect)
        end

        # What is laid or placed, and what that finding would then be.
        def placed(suspect)
          choice = suspect.choice
          size = suspect.to.wishes[choice].round
          lay =
            Formats::Words.maybe("aids.#{choice}.lay", size: size) ||
              Formats::Words.say("aids.#{choice}.stands", size: size)
          [lay, *(Told::Finding.says(suspect.to.finding(suspect.told_by), suspect.to) if suspect.told_by)].join(" ")
        end

        # The notch, and the number it is for as it would then be.
        def move(suspect, seen)
          Told::Finding.step(suspect.adjuster, suspect.to.marks[suspect.adjuster], result(suspect, suspect.to, seen))[
            :says
          ]
        end

        def result(suspect, to, seen)
          seen && suspect.of_joint ? Creep.where(seen.at(to), to) : Told::Finding.says(to.finding(suspect.told_by), to)
        end
        private_class_method :sign, :onward, :creep_or_look, :words, :cause, :says, :placed, :move, :result
      end
    end
  end
end
