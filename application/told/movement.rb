# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # A movement that a phone reads, in words: where the phone lies, what a set was against what was agreed, and what
      # is said next.
      module Movement
        # The sign of the floor that a remark is, the first that can be seen on a machine.
        SIGNS = { slammed: %i[leg_flies_back plate_lands heels_bounce] }.freeze

        module_function

        # Where it lies, and how one is still.
        def where(movement)
          still = movement.limit? ? say("still_limit.#{movement.asked["limit"]}") : say("still.#{movement.on}")
          { where: say("where.#{movement.on}"), still: still }
        end

        # How many were done of those that were planned, what is worth saying of them, and the one thing to say first.
        def review(review)
          remarks = review.remarks
          {
            repetitions: review.repetitions.map { |one| repetition(review, one) },
            says: [counted(review), *remarks.map { |remark| remark("said", remark) }, *well(review, remarks)],
            next: remarks.first && remark("say", remarks.first),
            last: review.last,
            reached: review.reached&.round(2)
          }
        end

        # The first sign among a machine's that the remarks speak of; nil for none.
        def sign(review, signs)
          review.remarks.flat_map { |remark| SIGNS.fetch(remark.code, []) }.find { |one| signs.include?(one) }
        end

        # What a set is laid over: :last, "left" or "right".
        def beside(name) = say("beside.#{name}")

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
          review.repetitions.any? && remarks.none? { |one| one.code == :short } ? [say("all_whole")] : []
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
        private_class_method :repetition, :counted, :well, :remark, :told, :say
      end
    end
  end
end
