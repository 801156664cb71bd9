# frozen_string_literal: true

module Verglas
  module Telling
    # What can be said of how one works: of each topic one sentence for a client on a machine, and nobody words it
    # elsewhere. core/data/topics.yml
    module Topics
      Topic =
        Value.define(:name, :question, :over, :cautions, :aimed, :stage, :card, :of, :but_of) do
          # Its question, or another one whose school goes before it.
          def decided_by(rules) = over.find { |question, schools| schools.include?(rules[question]) }&.first || question

          def said_of?(family) = family.all?(of) && but_of.none? { |tag| family.tags[tag] }
        end

      # school: which of the topic's sentences; source: whose word it is.
      Said = Value.define(:topic, :school, :source)
      SOURCES = %i[caution client gym family].freeze
      # The school of a topic that no rule decides.
      OWN = :own

      ALL = Tables[:topics][:topics].map { |row| Topic.new(**row) }.freeze

      module_function

      # What is said on a family. rules: {question => school} that holds for this client; spared: questions that a
      # caution decides; client, gym: questions that were chosen there; told: keys of what cautions tell; aimed: names
      # of the wishes that cautions have.
      def of(family, rules:, spared: [], client: [], gym: [], told: [], aimed: [])
        chosen = { caution: spared, client: client, gym: gym }
        ALL
          .select { |topic| topic.said_of?(family) }
          .map do |topic|
            asked_for = topic.aimed[(topic.aimed.keys & aimed).first]
            asked_for ? Said.new(topic: topic, school: asked_for, source: :caution) : said(topic, rules, chosen, told)
          end
      end

      def said(topic, rules, chosen, told)
        if topic.question
          question = topic.decided_by(rules)
          source = SOURCES.find { |one| chosen.fetch(one, []).include?(question) } || :family
          return Said.new(topic: topic, school: rules.fetch(question), source: source)
        end

        strictest = (topic.cautions & told).first
        Said.new(topic: topic, school: strictest || OWN, source: strictest ? :caution : :family)
      end
      private_class_method :said
    end
  end
end
