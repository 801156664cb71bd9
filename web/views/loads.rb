# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A load as it is made on a machine, the light set before it, the next one either way; belt, tempo, what is worth remarking.
      module Loads
        module_function

        # bench: a fitting's; input: {wanted_kg, last, left_kg, right_kg, repetitions}, each may be missing.
        def of(bench, input)
          tempo = bench.tempo
          { **(bench.rig ? made(bench, input) : NOTHING), belt: belt(bench, input[:wanted_kg]), remarks: remarks(bench, input),
                                                          tempo: { **tempo.to_h, says: tempo_text(tempo) }, set_seconds: tempo.seconds_of_set(input[:repetitions] || USUAL[:repetitions]) }
        end

        USUAL = Tables[:loads][:usual]
        NOTHING = { kind: nil, unit: nil, says: nil, load: nil, light: nil, up: nil, down: nil, next_time: nil, felt: nil }.freeze

        # Nothing known: the lightest, one step a set.
        def made(bench, input)
          rig = bench.rig
          load = wanted(bench, rig, input[:wanted_kg])
          known = !input[:wanted_kg].nil?
          { kind: rig.kind, unit: rig.unit, felt: felt(rig, load), says: known ? nil : words(:nothing_known), load: one(rig, load), light: known ? light(bench, rig, load) : nil,
            up: one(rig, allowed(bench, rig.choices.next_up(load.mass_kg))), down: one(rig, rig.choices.next_down(load.mass_kg)), next_time: next_time(bench, rig, load, input[:last]) }
        end

        def light(bench, rig, load)
          one(rig, Loading::Remarks.light_set(rig.choices, load.mass_kg, careful: bench.caution_effect.careful))
        end

        def next_time(bench, rig, load, last)
          last && one(rig, allowed(bench, Loading::Progress.next(rig.choices, load.mass_kg, last.to_sym)) || load)
        end

        # The nearest to what is wanted, never above what a clinician allows.
        def wanted(bench, rig, wanted_kg)
          return rig.choices.lightest unless wanted_kg

          allowed(bench, rig.choices.nearest(wanted_kg)) || rig.choices.at_most(bench.load_limit_kg) || rig.choices.lightest
        end

        def allowed(bench, choice)
          limit = bench.load_limit_kg
          choice unless choice && limit && choice.mass_kg > limit + Loading::Choices::ROUNDING_KG
        end

        def felt(rig, load)
          force = rig.force_n(load.mass_kg)
          force && words(rig.incline_deg ? :felt_on_rail : :felt_by_lever, mass: number(rig.printed(force / Loading::Rig::GRAVITY).round), unit: rig.unit)
        end

        # nil where there is none. text: as printed; how: what is done for it.
        def one(rig, choice)
          choice && { kg: choice.mass_kg.round(3), text: "#{number(rig.printed(choice.mass_kg))} #{rig.unit}", how: how(rig, choice) }
        end

        def how(rig, choice)
          return pinned(rig, choice) if rig.kind == :stack
          return words(:no_plates) if choice.side_kg.empty?

          words(:plates, plates: choice.side_kg.map { |kg| number(kg) }.join(" + "))
        end

        def pinned(rig, choice)
          pin = number(rig.printed(choice.pin_kg))
          choice.addon_kg.positive? ? words(:pin_and_addon, pin: pin, addon: number(rig.printed(choice.addon_kg))) : words(:pin, pin: pin)
        end

        # As it stands on a card; "" where nothing was loaded.
        def printed(rig, load_kg) = load_kg ? one(rig, rig.choices.nearest(load_kg))[:text] : ""

        # Whether it is worn, and why; nil where the machine has none.
        def belt(bench, load_kg)
          return unless bench.machine_row[:belt]

          by_caution = bench.caution_effect.belt
          return { worn: by_caution == :always, says: words(:"belt_#{by_caution}") } if by_caution

          rule = bench.rules[:belt] == :always
          mass = bench.client[:body_mass_kg]&.to_f
          worn = Loading::Remarks.belt?(load_kg, mass, always: rule)
          { worn: worn, says: words(belt_reason(rule, load_kg, mass, worn)) }
        end

        def belt_reason(rule, load_kg, mass_kg, worn)
          return :belt_rule if rule
          return :belt_no_load unless load_kg
          return :belt_no_mass unless mass_kg

          worn ? :belt_heavy : :belt_light
        end

        def remarks(bench, input)
          [*Allowed.load(bench), *sides(*input.values_at(:left_kg, :right_kg)), *curl_beside_extension(bench, input[:wanted_kg])]
        end

        def sides(left, right)
          return unless left&.positive? && right&.positive?

          share = Loading::Remarks.sides(left, right)
          words(share.remarked ? :sides_differ : :sides_alike, percent: (share.share * 100).round, weaker: words(left < right ? :left : :right)) if share.share.positive?
        end

        # Loads compare on one machine only: on a station's two exercises.
        def curl_beside_extension(bench, load_kg)
          return unless bench.station? && load_kg&.positive?

          beside = bench.gym.fittings.sibling(bench.client[:id], bench.machine_row[:id], bench.exercise)&.dig(:work, "load_kg")
          return unless beside&.positive?

          share = Loading::Remarks.curl_to_extension(*(bench.exercise == "curl" ? [load_kg, beside] : [beside, load_kg]))
          words(:curl_beside_extension, share: format("%.2f", share.share)) if share.remarked
        end

        # Without what is not held.
        def tempo_words(tempo)
          [[:up, tempo.up_s], [:hold, tempo.hold_s], [:down, tempo.down_s], [:pause, tempo.pause_s]].reject { |_, seconds| seconds.zero? }
                                                                                                    .map { |part, seconds| words("tempo_#{part}", seconds: number(seconds)) }.join(", ")
        end

        def tempo_text(tempo) = [tempo.up_s, tempo.hold_s, tempo.down_s, tempo.pause_s].map { |seconds| number(seconds) }.join("-")
        def number(value) = format("%.10g", value.to_f.round(2))
        def words(key, **params) = Formats::Words.say("loads.#{key}", **params)
        private_class_method :made, :light, :next_time, :felt, :how, :pinned, :wanted, :allowed, :belt_reason, :remarks, :sides, :curl_beside_extension, :words
      end
    end
  end
end
