# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # How one works because of cautions, in sentences.
      module Manner
        module_function

        # effect: Guidance::Cautions::Effect, of all cautions or of one. What the caution's own sentence says beside it.
        def of(effect, meeting) = [*figures(effect, meeting), *told(effect, meeting)]

        # What is counted, and what is left out.
        def figures(effect, meeting) = [*counted(effect), *belt(effect, meeting), *left_out(effect, meeting)]

        # Range and load of the light set, holds, repetitions kept in hand, rest.
        def counted(effect)
          [
            *(half_first if effect.half_first),
            *light(effect),
            *(words(:no_holds) if effect.no_holds),
            *(words(:no_timed) if effect.no_timed),
            *(words(:in_hand, count: effect.in_hand) if effect.in_hand),
            *(words(:rest, seconds: effect.rest_s) if effect.rest_s)
          ]
        end

        def half_first = words(:half_first)

        # Of the usual light set, and of the working load.
        def light(effect)
          return [] unless effect.light_share

          [words(:light_careful, usual: share(effect.light_share), working: of_working(effect))]
        end

        # The light set as a share of the working load, and the first repetition of the range, in words.
        def of_working(effect) = share(Loading::Remarks::FIGURES[:light_set][:share] * (effect.light_share || 1))
        def first_of_range(effect) = Formats::Words.say("allowed.shares.#{effect.half_first ? :half : :half_and_more}")

        def share(part) = Formats::Words.say("allowed.shares.#{{ 0.5 => :half, 0.25 => :quarter }.fetch(part)}")

        def belt(effect, meeting) = meeting.machine_row[:belt] && effect.belt ? [words(:"belt_#{effect.belt}")] : []

        # Ways and aids that this machine has, and this client goes without.
        def left_out(effect, meeting)
          ways = ways(meeting.machine.family) - (meeting.machine_row[:one_leg] ? [] : [:one_leg])
          (effect.without & ways).map { |name| words(:"without_#{name}") }
        end

        # What a family can have that somebody may have to go without.
        def ways(family)
          [:in_turn, *(:one_leg if family.one_plate?), *family.choices.keys]
        end

        def told(effect, meeting)
          plates = ![nil, "stack"].include?(meeting.machine_row[:loading].to_h["kind"])
          effect
            .told
            .select { |one| plates || !one.plates }
            .filter_map do |one|
              COMPUTED.key?(one.key) ? send(COMPUTED[one.key], meeting) : Formats::Words.say("manner.#{one.key}")
            end
        end

        # Told where there is such a machine, by its name.
        COMPUTED = { steeper_bench: :steeper, belt_squat_first: :belt_first }.freeze
        private_constant :COMPUTED

        def belt_first(meeting)
          meeting.belt_squat_first&.then { |squat| Formats::Words.say("manner.belt_squat_first", squat: squat) }
        end

        def steeper(meeting)
          meeting.steeper_bench&.then { |bench| Formats::Words.say("manner.steeper_bench", bench: bench) }
        end

        def words(key, **params) = Formats::Words.say("allowed.#{key}", **params)
        private_class_method :share, :belt, :left_out, :told, :belt_first, :steeper, :words
      end
    end
  end
end
