# frozen_string_literal: true

module Verglas
  module Formats
    # What bin/compute asks about what is learned: strength and machines' factors, taped adjusters and untaped ones.
    module Learning
      module_function

      def strength(request)
        person = person(request)
        strength =
          Loading::Strength.new(person, sets(request), now: request["now"], factors: request.fetch("factors", {}))
        {
          mean: Loading::Strength::ACTIONS.to_h { |action| [action, strength.mean(action)] },
          sd: Loading::Strength::ACTIONS.to_h { |action| [action, strength.sd(action)] },
          predictions:
            request
              .fetch("ask", [])
              .map { |asked| prediction(strength, person, asked, request.fetch("cautions", false)) }
        }
      end

      def prediction(strength, person, asked, cautions)
        first =
          Loading::FirstLoad.new(
            strength,
            machine: asked["machine"],
            action: asked["action"].to_sym,
            person: person,
            cautions: cautions
          )
        { mean: first.mean, sd: first.sd, silent: first.silent?, first_load: first.load_kg(asked["choices"]) }
      end

      def factor(request)
        people = request["people"].map { |one| [person(one), sets(one)] }
        found =
          Loading::MachineFactor.learned(
            request["machine"],
            request["action"].to_sym,
            people,
            factors: request.fetch("factors", {})
          )
        { mean: found.mean, sd: found.sd }
      end

      def bias(request)
        found = Fitting::TapedBias.learned(request["fits"])
        { mean: found.mean_mm, sd: found.sd_mm, n: found.count }
      end

      def scale(request)
        scale = Fitting::UntapedScale.new(request["fits"], marks: request["marks"], middle_mm: request["middle"])
        mean, sd = scale.mark(request["new"], request["var_new"])
        { a: scale.at_middle, beta: scale.slope, mean: mean, sd: sd, n: scale.count }
      end

      def person(given)
        Loading::Strength::Person.new(
          sex: given["sex"]&.to_sym,
          mass_kg: given["body_mass"],
          age_years: given["age"],
          stature_mm: given["stature"]
        )
      end

      def sets(given)
        given["sets"].map do |set|
          Loading::Lifted.new(
            week: set["week"],
            machine: set["machine"],
            action: set["action"].to_sym,
            load_kg: set["load"],
            repetitions: set["repetitions"],
            last: set["last"].to_sym
          )
        end
      end
      private_class_method :prediction, :person, :sets
    end
  end
end
