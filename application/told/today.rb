# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # Today's load and why, the rung, and what changed between visits: from the log, in sentences.
      module Today
        module_function

        # {load, light, says}; nil where the machine's loads were never described. one_leg: on one leg at a time.
        def load(meeting, log, one_leg: false)
          today = log.today(one_leg: one_leg) or return
          light =
            Loading::Remarks.light_set(
              meeting.rig.choices,
              today.choice.mass_kg,
              share_of_usual: meeting.caution_effect.light_share
            )
          {
            load: Load.one(meeting.rig, today.choice),
            light: Load.one(meeting.rig, light),
            says: reason(meeting, log, today),
            alone: today.reason == :joint
          }
        end

        # What today's sets make of the next visit's load; nil where none says anything of it.
        def next_time(meeting, log)
          onward = log.next_time or return
          how = NEXT.include?(onward.reason) ? onward.reason : :other
          words(:"next_#{how}", load: Load.one(meeting.rig, onward.choice)[:text])
        end

        # Outcomes of today that are told by their names.
        NEXT = %i[easy clean not_reached short sign joint measure_straight].freeze
        private_constant :NEXT

        def reason(meeting, log, today)
          case today.reason
          when :limited
            Allowed.load(meeting)
          when :pad_moved
            words(:pad_moved, moved: moves(log.pad_moved), press: press(log.press_today))
          else
            words(today.reason, times: times(today.count))
          end
        end

        def times(count) = words(count == 1 ? :once : :often, count: count)

        # {label => [from, to]} in words; "" where nothing moved.
        def moves(moved)
          moved
            .map do |label, (from, upto)|
              Formats::Words.say("today.move", label: Formats::Words.adjuster(label), from: from, to: upto)
            end
            .join(", ")
        end

        # What a moved pad does to the leg at one load, as a share; "" where that cannot be told or is nothing.
        def press(ratio)
          percent = ratio ? ((ratio - 1) * 100).round : 0
          return "" if percent.zero?

          words(percent.positive? ? :presses_more : :presses_less, percent: percent.abs)
        end

        # Where one stands, what opens the next rung and what sends one back.
        def ladder(ladder)
          says = [stands(ladder), (words(:ladder_back, rung: Finding.lower(rung(ladder.back))) if ladder.back)].compact
          {
            rung: ladder.rung,
            says: says,
            rungs: ladder.told.map { |name| { name: name, title: rung(name), here: name == ladder.rung } }
          }
        end

        def stands(ladder)
          return words(ladder.held_back? ? :ladder_held : :ladder_top) unless ladder.onward

          words(
            ladder.moved == :back ? :ladder_went_back : :ladder_next,
            rung: Finding.lower(rung(ladder.onward)),
            count: ladder.missing
          )
        end

        def rung(name) = Formats::Words.say("today.rungs.#{name}")
        def words(key, **params) = Formats::Words.say("today.#{key}", **params)
        private_class_method :reason, :times, :stands, :rung, :words
      end
    end
  end
end
