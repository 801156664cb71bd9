# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Contested questions with their schools, a reason each, and what was chosen.
      module Rules
        module_function

        # rules: Questions::GymRules.
        def of_gym(rules)
          chosen = rules.chosen
          {
            questions:
              questions { |question| { chosen: chosen.fetch(question.name, question.default), reason: "", by: nil } },
            cautions: Cautions.of_gym(rules.stricter),
            version: rules.version
          }
        end

        # rules: Questions::ClientRules. chosen: null where it is as the gym has it.
        def of_client(rules)
          {
            client: Client.summary(rules.client),
            version: rules.client[:rules_version],
            questions:
              questions do |question|
                row = rules.own[question.name]
                {
                  chosen: row && row[:school],
                  gym: rules.of_gym.fetch(question.name, question.default),
                  reason: row ? row[:reason] : "",
                  by: row && row[:by_name]
                }
              end
          }
        end

        # What was chosen for one client alone (rows), in words, but for what their cautions (rows) keep back: a bench
        # says what they leave of it.
        def own(rules, cautions)
          names = cautions.map { |row| row[:caution] }
          rows = rules.reject { |row| Guidance::Cautions.keep_back?(names, row[:question].to_sym, row[:school].to_sym) }
          rows.map do |row|
            "#{words(row[:question], :title)}: " \
              "#{Told::Finding.lower(words(row[:question], "schools.#{row[:school]}.title"))}"
          end
        end

        def questions
          Verglas::Guidance::HouseRules::QUESTIONS.each_value.map do |question|
            {
              name: question.name,
              title: words(question.name, :title),
              computed: question.schools.values.any?(&:any?),
              default: question.default,
              schools: question.schools.keys.map { |school| school(question.name, school) },
              **yield(question)
            }
          end
        end

        def school(question, school)
          {
            name: school,
            title: words(question, "schools.#{school}.title"),
            reason: words(question, "schools.#{school}.reason")
          }
        end

        def words(question, part) = Told::Rules.words(question, part)
        private_class_method :questions, :school, :words
      end
    end
  end
end
