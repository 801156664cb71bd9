# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # How an adjuster is met on the walk round a machine.
      module WalkRound
        module_function

        # "Right side, yellow, pull pin."; empty where nothing was noted.
        # Of all that is set as one, each by its name where there are several. facts: {label => what was noted}.
        def of(facts)
          said = facts.transform_values { |noted| words(noted) }.reject { |_, text| text.empty? }
          return said.values.join if facts.one?

          said.map { |label, text| "#{Formats::Words.adjuster(label)}: #{Told::Finding.lower(text)}" }.join("; ")
        end

        # Of an adjuster and what is set with it.
        def handling(meeting, label)
          labels = Told::Together.fetch(meeting.machine, label).labels
          of(labels.to_h { |one| [one, meeting.walk_round.fetch(one, {})] })
        end

        def words(facts)
          side = facts[:side].to_s
          parts = [
            side.empty? ? nil : Formats::Words.say("walk_round.#{side.tr(" ", "_")}"),
            facts[:handle],
            facts[:unlocks],
            (Formats::Words.say("walk_round.both_sides") if facts[:both_sides])
          ]
          parts.map(&:to_s).reject(&:empty?).join(", ").sub(/\A./, &:upcase)
        end
      end
    end
  end
end
