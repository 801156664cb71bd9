# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # How long things take for a client on a machine: working figures (core/data/session.yml), replaced by what was
      # measured in this gym as that grows.
      class Seconds
        TIMES = Tables[:session][:times]
        AT_MACHINE = Tables[:session][:at_machine]
        LIGHT = Tables[:session][:light_set]

        # meeting: Meeting; aim: Loading::Aim or nil; repetitions: of a set; today: Loading::NextLoad, nil for none;
        # light: whether a light set comes first; taken: of Store::Queries::TimesTaken for this machine and exercise,
        # nil where nothing was measured.
        def initialize(meeting, aim:, repetitions:, today:, light:, taken:)
          @meeting = meeting
          @aim = aim
          @repetitions = repetitions
          @today = today
          @light = light
          @taken = taken.to_h
        end

        # {set_s:, rest_s:, told_rest_s:, light_s:, in_s:, out_s:, pin_s:}, whole seconds; rest_s as long as it takes
        # here, never shorter than a caution asks for; told_rest_s as it is told.
        def to_h
          {
            set_s: set_s,
            rest_s: [between.mean.round - set_s, spared_s].max,
            told_rest_s: rest_s,
            light_s: light_s,
            in_s: [first.mean.round - light_s - set_s, 0].max,
            out_s: AT_MACHINE[:out_s],
            pin_s: pin_s
          }
        end

        # {once:, set:, rest:}: how far each goes astray, seconds.
        def sd_s
          { once: first.sd, set: set_s * TIMES[:set_sd_share], rest: between.sd }
        end

        # Of a set at this client's tempo.
        def set_s = @set_s ||= tempo.seconds_of_set(@repetitions).round

        # With the rest that follows it.
        def light_s
          return 0 unless @light

          @light_s ||= (LIGHT[:repetitions] * tempo.repetition_s).round + LIGHT[:rest_s]
        end

        private

        def tempo = @tempo ||= @meeting.pace.tempo(@aim)
        # The least that a caution asks for.
        def spared_s = @meeting.caution_effect.rest_s || 0
        def rest_s = @meeting.pace.rest_s(@aim)

        # From "it stands so" to the end of the first set.
        def first
          working = AT_MACHINE[:in_s] + light_s + set_s
          learned(:first, working, (AT_MACHINE[:in_s] + light_s) * TIMES[:once_sd_share])
        end

        # From the end of a set to the end of the next.
        def between = learned(:between, rest_s + set_s, rest_s * TIMES[:rest_sd_share])

        def learned(kind, working_s, sd_s)
          found = @taken.fetch(kind, { count: 0, mean: 0, sd: 0 })
          Planning::Learned.of(working_s, sd_s, **found)
        end

        # The pin, or the plates of today on one side and the other.
        def pin_s
          return 0 unless @today
          return AT_MACHINE[:pin_s] if @meeting.rig.kind == :stack

          @today.choice.side_kg.size * @meeting.rig.choices.horns * AT_MACHINE[:plate_s]
        end
      end
    end
  end
end
