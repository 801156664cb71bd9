# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # A movement that a phone reads, in words: where the phone lies, what a set was against what was agreed, and what
      # is said next.
      module Movement
        # The sign of the floor that a remark is, the first that can be seen on a machine.
        SIGNS = { slammed: %i[leg_flies_back plate_lands heels_bounce] }.freeze

        # What may hurt, or is not to be trusted: said first, and in red.
        WARNS = %i[slipped slammed first_past past].freeze
        # Remarks after which one asks for more: further, or quicker.
        MORE = %i[short too_slow shrinks slows].freeze
        # Remarks after which not each went as far as agreed.
        UNEVEN = %i[short past first_past].freeze

        module_function

        # Where it lies, and how one is still.
        def where(movement)
          still = movement.limit? ? say("still_limit.#{movement.asked["limit"]}") : say("still.#{movement.on}")
          { where: say("where.#{movement.on}"), still: [still, *begin_with(movement)].join(" ") }
        end

        # How many were done of those that were planned, and what is worth saying of them.
        def review(review)
          warned, others = review.remarks.partition { |one| WARNS.include?(one.code) }
          {
            repetitions: review.repetitions.map { |one| repetition(review, one) },
            warns: warned.map { |one| remark("said", one) },
            says: [counted(review), *others.map { |one| remark("said", one) }, *well(review, review.remarks)],
            last: review.last,
            first_share: review.first_share,
            reached: review.reached&.round(2)
          }
        end

        # The one thing to say first; nil for none. careful: with a caution nobody is asked for more.
        def next(review, careful:)
          first = review.remarks.first or return
          careful && MORE.include?(first.code) ? say("say.careful") : remark("say", first)
        end

        # The first sign among a machine's that the remarks speak of; nil for none.
        def sign(review, signs)
          review.remarks.flat_map { |remark| SIGNS.fetch(remark.code, []) }.find { |one| signs.include?(one) }
        end

        # What a set is laid over: :last, "left" or "right".
        def beside(name) = say("beside.#{name}")

        def begin_with(movement)
          movement.limit? || movement.review.first_share >= 1 ? [] : Manner.half_first
        end

        def repetition(review, one)
          {
            low: one.low,
            top: one.top,
            range: one.range.round(2),
            whole: review.whole?(one),
            up_s: review.up_s(one),
            hold_s: one.hold,
            down_s: review.down_s(one),
            pause_s: one.pause
          }
        end

        def counted(review)
          count = review.repetitions.size
          review.planned ? say("planned", count: count, planned: review.planned) : say("counted", count: count)
        end

        def well(review, remarks)
          review.repetitions.empty? || remarks.any? { |one| UNEVEN.include?(one.code) } ? [] : [say("all_whole")]
        end

        def remark(kind, remark)
          say("#{kind}.#{remark.code}", **remark.params.to_h { |name, number| [name, told(name, number)] })
        end

        # Seconds to a tenth where one has to tell them apart; a way as a word.
        def told(name, number)
          case name
          when :way
            say("ways.#{number}")
          when :took, :asked, :times
            Load.number(number.round(1))
          else
            number.round
          end
        end

        def say(key, **params) = Formats::Words.say("movement.#{key}", **params)
        private_class_method :begin_with, :repetition, :counted, :well, :remark, :told, :say
      end
    end
  end
end
