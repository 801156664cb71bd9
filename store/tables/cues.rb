# frozen_string_literal: true

require "securerandom"

module Verglas
  module Store
    module Tables
      # What one gym says that helps, and how often it helped: of the core's cues the counts, of the gym's own the words
      # too.
      class Cues
        OWN = "own_"
        MOST = 200
        LETTERS = [*"a".."z"].freeze

        def initialize(gym)
          @gym = gym
        end

        # Rows {name:, about:, words:, helped:, tried:}; of some signs and regions, or all.
        def all(about: nil)
          rows = dataset.where(retired: false)
          (about ? rows.where(about: about.map(&:to_s)) : rows).order(:about, :name).all
        end

        # The gym's own; answers its name. Raises Invalid above the most.
        def add(words, about:)
          raise Invalid.new(:too_many_cues, path: "/words", most: MOST) if dataset.exclude(words: "").count >= MOST

          "#{OWN}#{Array.new(16) { LETTERS[SecureRandom.random_number(LETTERS.size)] }.join}".tap do |name|
            ConstraintErrors.translate { dataset.insert(gym_id: @gym.id, name: name, about: about.to_s, words: words) }
          end
        end

        # No more offered; what was counted stays. How many that were.
        def retire(name) = dataset.where(name: name, retired: false).exclude(words: "").update(retired: true)

        # It was said, and helped or did not.
        def count(name, about:, helped:)
          one = helped ? 1 : 0
          @gym.db[:gym_cues].insert_conflict(
            target: %i[gym_id name about],
            update: {
              helped: Sequel[:gym_cues][:helped] + one,
              tried: Sequel[:gym_cues][:tried] + 1
            }
          ).insert(gym_id: @gym.id, name: name.to_s, about: about.to_s, helped: one, tried: 1)
        end

        private

        def dataset = @gym.db[:gym_cues].where(gym_id: @gym.id)
      end
    end
  end
end
