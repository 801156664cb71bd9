# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # The house rules under which somebody is fitted.
      module Rules
        module_function

        # Those asked of a machine's family, with the school that was used; but_for: names of those which a caution or a
        # limit overrode.
        def used(family, chosen, but_for: [])
          asked =
            Guidance::HouseRules::QUESTIONS.each_value.select do |question|
              question.asked_of?(family) && !but_for.include?(question.name)
            end
          asked.map do |question|
            {
              question: question.name,
              title: words(question.name, :title),
              school: chosen[question.name],
              school_title: words(question.name, "schools.#{chosen[question.name]}.title")
            }
          end
        end

        def words(question, part) = Formats::Words.say("house_rules.#{question}.#{part}")
      end
    end
  end
end
