# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What keeps a client off a machine, in sentences: the only place that words it.
      module Barred
        module_function

        # bars: Bars.
        def of(bars) = bars.map { |bar| sentence(bar) }.uniq

        # The same of marks that were accepted, with what can no more stand there today.
        def at(meeting, evaluation)
          [*of(meeting.bars), *at_set_up(meeting.refusals(evaluation) - [:barred])].uniq
        end

        # The same before any marks: with what is still to be shown.
        def before(meeting) = [*of(meeting.bars), *at_set_up(meeting.to_be_shown)]

        # The same of the marks that are advised: where they cannot be accepted, no mark is.
        def advised(meeting)
          kept_off = before(meeting)
          return kept_off if kept_off.any? || meeting.advice.status.nil?

          meeting.unacceptable(meeting.advice.evaluation).empty? ? [] : [words(:no_marks)]
        end

        def sentence(bar)
          case bar.code
          when :caution
            by_caution(bar.params)
          when :held
            words(:"posture_#{bar.params[:motion]}", deg: bar.params[:deg].abs, limit: bar.params[:limit].abs)
          when :untaped
            words(:untaped, motion: motion(bar.params[:motion]), lengths: lengths(bar.params[:lengths]))
          when :by_eye, :nothing_left
            words(bar.code, motion: motion(bar.params[:motion]))
          when :not_right
            words(:"not_right.#{bar.params[:gate]}")
          when :emphasis_closed, :emphasis_unknown
            words(bar.code, aim: aim(bar), limit: limit(bar))
          when :too_heavy
            words(:too_heavy, **bar.params.transform_values { |kg| Load.number(kg.floor(1)) })
          else
            words(bar.code, **bar.params)
          end
        end

        def aim(bar) = Formats::Words.say("emphases.#{bar.params[:emphasis]}.title").downcase
        def limit(bar) = bar.params[:limit] && Formats::Words.say("limits.#{bar.params[:limit]}.title").downcase

        # Where every length is taped, the way of some adjuster is not.
        def lengths(names)
          if names.empty?
            words(:travel)
          else
            names.map { |name| Formats::Words.say("constants.#{name}.title").downcase }.join(", ")
          end
        end

        def by_caution(said)
          words(
            said[:until],
            caution: Formats::Words.say("cautions.#{said[:caution]}.title"),
            motion: said[:motion] && motion(said[:motion])
          )
        end

        def at_set_up(codes) = codes.map { |code| Formats::Words.say("set_up.#{code}") }
        def motion(name) = Formats::Words.say("motions.#{name}").downcase
        def words(key, **params) = Formats::Words.say("barred.#{key}", **params)
        private_class_method :aim, :limit, :lengths, :by_caution, :at_set_up, :motion, :words
      end
    end
  end
end
