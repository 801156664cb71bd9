# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # How one works on a machine, a sentence a topic (Telling::Topics): on the bench's steps, the set-up list, card,
      # paper and record alike.
      module Topics
        module_function

        # Those of a stage's step.
        def at(stage, meeting) = sentences(meeting.topics.select { |said| said.topic.stage == stage }, meeting)

        # Those that are done at every set.
        def on_card(meeting) = sentences(meeting.topics.select { |said| said.topic.card }, meeting)

        # {topic's name with topic_ before it => its sentence}, for a step that has it in its own words.
        def within(meeting) = meeting.topics.to_h { |said| [:"topic_#{said.topic.name}", sentence(said, meeting)] }

        def sentences(saids, meeting) = saids.map { |said| sentence(said, meeting) }

        # A family, or what it is a kind of, may say in its own way what no rule decides, and any school.
        def sentence(said, meeting)
          names = [meeting.machine.family.id, meeting.machine.family.mechanism]
          own = said.school == Telling::Topics::OWN ? names : names.map { |name| "#{said.school}_#{name}" }
          [*own, said.school].filter_map { |key| Formats::Words.maybe("topics.#{said.topic.name}.#{key}") }.first
        end
        private_class_method :sentences
      end
    end
  end
end
