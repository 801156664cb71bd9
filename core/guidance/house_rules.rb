# frozen_string_literal: true

module Verglas
  module Guidance
    # Where good instructors disagree: the gym picks a school of each question, an instructor may pick another for a
    # client, and where the computation depends on it, it does. core/data/house_rules.yml
    module HouseRules
      # schools: {name => what it aims at on the question's families}; needs: {school => all that has to be known for
      # it}; of: the tags of the families of which it is asked, none for all; but_of: of those of which it is not.
      Question =
        Value.define(:name, :default, :of, :but_of, :schools, :needs) do
          def asked_of?(family) = family.all?(of) && but_of.none? { |tag| family.tags[tag] }

          # What the default school aims at.
          def usual = schools.fetch(default)

          # The school that can be kept: the default where what a school needs is not known.
          def kept(school, known) = (needs.fetch(school, []) - known).empty? ? school : default
        end

      # A row of the table.
      def self.question(row)
        schools = row[:schools].to_h { |school| [school[:name], school[:wishes].transform_values(&:to_f)] }
        needs = row[:schools].to_h { |school| school.values_at(:name, :needs) }
        Question.new(**row, schools: schools, needs: needs)
      end
      private_class_method :question

      QUESTIONS =
        Tables[:house_rules][:questions]
          .map { |row| question(row) }
          .to_h { |question| [question.name, question] }
          .freeze

      module_function

      # Raises Invalid for a question or a school that is none.
      def check(question, school)
        known = fetch(question)
        return if known.schools.key?(school.to_sym)
        raise Invalid.new(:not_allowed, path: "/school", expected: known.schools.keys.join(", "))
      end

      # {question => school}: the client's own, else the gym's, else the default. gym and client hold what was chosen
      # there; known: names of what is known of the machine.
      def chosen(gym: {}, client: {}, known: [])
        QUESTIONS.to_h { |name, question| [name, question.kept(client[name] || gym[name] || question.default, known)] }
      end

      # What the chosen schools aim at on a family, by the names of Wishes.
      def wishes(family, chosen)
        QUESTIONS
          .each_value
          .select { |question| question.asked_of?(family) }
          .map { |question| question.schools.fetch(chosen[question.name]) }
          .inject({}, :merge)
      end

      # What some schools aim at, {question => school}.
      def of_schools(schools)
        schools.map { |question, school| fetch(question).schools.fetch(school) }.inject({}, :merge)
      end

      # Names of the questions whose schools aim at something.
      def deciding(wish)
        QUESTIONS
          .each_value
          .select { |question| question.schools.values.any? { |wishes| wishes.key?(wish) } }
          .map(&:name)
      end

      TEMPOS = %i[tempo tempo_hinge].freeze

      # The question of a family's tempo.
      def tempo(family) = TEMPOS.find { |name| QUESTIONS.fetch(name).asked_of?(family) }

      def fetch(name)
        QUESTIONS.fetch(name.to_s.to_sym) do
          raise Invalid.new(:unknown_question, path: "/question", question: name.to_s)
        end
      end

      # The school, checked to be one of the question's.
      def school(question, name)
        unless fetch(question).schools.key?(name.to_s.to_sym)
          raise(Invalid.new(:not_allowed, path: "/school", known: fetch(question).schools.keys))
        end
        name.to_sym
      end
    end
  end
end
