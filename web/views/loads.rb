# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A load as it is made on a machine, the light set before it, the next one either way; belt, tempo, what is worth
      # remarking.
      module Loads
        Load = Told::Load

        module_function

        # meeting: a fitting's; input: {wanted_kg, last, left_kg, right_kg, repetitions}, each may be missing.
        def of(meeting, input)
          tempo = meeting.pace.asked(input)
          made = meeting.rig ? made(meeting, input) : undescribed(meeting)
          {
            **made,
            belt: belt(meeting, input[:wanted_kg]),
            remarks: remarks(meeting, input),
            tempo: {
              **tempo.to_h,
              says: Told::Tempo.figures(tempo)
            },
            set_seconds: tempo.seconds_of_set(input[:repetitions] || USUAL[:repetitions]),
            aims: aims(meeting)
          }
        end

        # The gym's, as a caution leaves them.
        def aims(meeting)
          effect = meeting.caution_effect
          table = meeting.rows.aims.reject { |aim| aim.seconds && effect.no_timed }
          table.map { |aim| Aims.one(effect.rest_s ? aim.with(rest_s: [aim.rest_s, effect.rest_s].max) : aim) }
        end

        USUAL = Tables[:loads][:usual]
        NOTHING = {
          kind: nil,
          unit: nil,
          says: nil,
          likely: false,
          load: nil,
          light: nil,
          up: nil,
          down: nil,
          next_time: nil,
          felt: nil
        }.freeze

        # Where the body is the load there is nothing to describe.
        def undescribed(meeting)
          meeting.machine.family.wishes.key?(:mass_kg) ? NOTHING.merge(kind: :body, says: words(:body)) : NOTHING
        end

        # Nothing known: what is likely by what they lift elsewhere, else the lightest; one step a set.
        def made(meeting, input)
          rig = meeting.rig
          known = !input[:wanted_kg].nil?
          first = known ? nil : Application::FirstLoads.of(meeting)
          load =
            first ? allowed(meeting, first.choice) || rig.choices.lightest : wanted(meeting, rig, input[:wanted_kg])
          {
            kind: rig.kind,
            unit: rig.unit,
            felt: felt(rig, load),
            says: known ? nil : Told::FirstLoad.says(rig, first),
            likely: !first.nil?,
            load: Load.one(rig, load),
            light: known ? light(meeting, rig, load) : nil,
            up: Load.one(rig, allowed(meeting, rig.choices.next_up(load.mass_kg))),
            down: Load.one(rig, rig.choices.next_down(load.mass_kg)),
            next_time: next_time(meeting, rig, load, input[:last])
          }
        end

        def light(meeting, rig, load)
          Load.one(
            rig,
            Loading::Remarks.light_set(rig.choices, load.mass_kg, share_of_usual: meeting.caution_effect.light_share)
          )
        end

        def next_time(meeting, rig, load, last)
          last &&
            Load.one(
              rig,
              allowed(
                meeting,
                Loading::Progress.next(
                  rig.choices,
                  load.mass_kg,
                  last.to_sym,
                  in_hand: !meeting.caution_effect.in_hand.nil?
                )
              ) || load
            )
        end

        # The nearest to what is wanted, never above what a clinician allows.
        def wanted(meeting, rig, wanted_kg)
          return rig.choices.lightest unless wanted_kg

          allowed(meeting, rig.choices.nearest(wanted_kg)) || rig.choices.at_most(meeting.load_limit_kg) ||
            rig.choices.lightest
        end

        def allowed(meeting, choice)
          limit = meeting.load_limit_kg
          choice unless choice && limit && choice.mass_kg > limit + Loading::Choices::ROUNDING_KG
        end

        def felt(rig, load)
          felt_kg = rig.felt_kg(load.mass_kg)
          felt_kg &&
            words(
              rig.incline_deg ? :felt_on_rail : :felt_by_lever,
              mass: Load.number(rig.printed(felt_kg).round),
              unit: rig.unit
            )
        end

        # Whether it is worn, and why; nil where the machine has none.
        def belt(meeting, load_kg)
          return unless meeting.machine_row[:belt]

          by_caution = meeting.caution_effect.belt
          return { worn: by_caution == :always, says: words(:"belt_#{by_caution}") } if by_caution

          return { worn: false, says: words(:belt_rule_never) } if meeting.rules[:belt] == :never

          rule = meeting.rules[:belt] == :always
          mass = meeting.client[:body_mass_kg]&.to_f
          worn = Loading::Remarks.belt?(load_kg, mass, always: rule)
          { worn: worn, says: words(belt_reason(rule, load_kg, mass, worn)) }
        end

        def belt_reason(rule, load_kg, mass_kg, worn)
          return :belt_rule if rule
          return :belt_no_load unless load_kg
          return :belt_no_mass unless mass_kg

          worn ? :belt_heavy : :belt_light
        end

        def remarks(meeting, input)
          [
            *Told::Allowed.load(meeting),
            *sides(meeting, *input.values_at(:left_kg, :right_kg)),
            *one_leg(meeting, input),
            *(unlikely(meeting, input[:wanted_kg]) if input[:wanted_kg]&.positive?),
            *beside_the_other(meeting, input[:wanted_kg]),
            *Told::Balance.says(Application::Balance.of(meeting))
          ]
        end

        # Of a hundred.
        def chance(probability) = (probability * 100).round

        def sides(meeting, left, right)
          return unless left&.positive? && right&.positive?

          before = Application::Logbook.of(meeting).sides_before
          share = Loading::Remarks.sides(left, right, meeting.rig&.choices, before: before)
          return unless share.share.positive?
          words(
            share.remarked ? :sides_differ : :sides_alike,
            percent: (share.share * 100).round,
            weaker: words(left < right ? :left : :right),
            chance: chance(Loading::Balance.sides(left, right, before: before).outside)
          )
        end

        # Where both legs push one plate, one takes half at most.
        def one_leg(meeting, input)
          both, left, right = input.values_at(:wanted_kg, :left_kg, :right_kg)
          return unless both && meeting.machine.family.one_plate?

          most = Loading::Remarks.one_leg_most_kg(both)
          return unless [left, right].compact.any? { |kg| kg > most }
          words(
            :one_leg_heavy,
            most: Load.number(meeting.rig ? meeting.rig.printed(most) : most),
            unit: meeting.rig&.unit || "kg"
          )
        end

        # Loads compare on one machine only: on a station's two exercises.
        def beside_the_other(meeting, load_kg)
          return unless meeting.shared.any? && load_kg&.positive?

          beside = meeting.rows.sibling&.dig(:work, "load_kg")
          return unless beside&.positive?

          share = Loading::Remarks.beside(meeting.machine.family.action, load_kg, beside)
          words(:beside_the_other, share: format("%.2f", share.share)) if share.remarked
        end

        # So many steps off what is likely is rather the pin, the unit or the roller's mark.
        def unlikely(meeting, load_kg)
          return unless meeting.rig

          steps = Application::FirstLoads.new(meeting).steps_off(load_kg)
          return if steps < STEPS_OFF

          words(meeting.machine.family.tags[:turns_on_pivot] ? :unlikely_roller : :unlikely, steps: steps)
        end
        STEPS_OFF = 3

        def words(key, **params) = Formats::Words.say("loads.#{key}", **params)
        private_class_method :unlikely,
                             :aims,
                             :made,
                             :undescribed,
                             :light,
                             :next_time,
                             :felt,
                             :wanted,
                             :allowed,
                             :belt_reason,
                             :remarks,
                             :sides,
                             :one_leg,
                             :beside_the_other,
                             :words
      end
    end
  end
end
