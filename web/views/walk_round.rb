# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # How an adjuster is met on the walk round a machine.
      module WalkRound
        module_function

        # "Right side, yellow, pull pin."; empty where nothing was noted.
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
