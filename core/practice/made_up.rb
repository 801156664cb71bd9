# frozen_string_literal: true

module Verglas
  module Practice
    # A client who is made up, and a machine as it truly is: hidden from whoever practises. The same seed on the same
    # machine is the same client. docs/model.md section 19.
    #   machine    as it is described; true_machine: as it is
    #   sex, body  of the client (Body::Dimensions); limits: {wish => degrees} of their own
    #   caution    nil, or its name; barring: whether it keeps them off this machine
    #   person     as one may ask them (Loading::Strength::Person); loads: kg that the machine can be loaded with, empty
    #              where nobody knows
    #   technique  a sign of something that no notch mends; nil where they do nothing of the kind
    #   start      indices of the marks as somebody left them
    MadeUp =
      Value.define(
        :machine,
        :seed,
        :level,
        :true_machine,
        :sex,
        :body,
        :limits,
        :person,
        :loads,
        :caution,
        :barring,
        :technique,
        :start
      ) do
        # level: of LEVELS; loads: kg, rising.
        def self.draw(machine, seed:, level:, loads: [])
          figures = MadeUp::LEVELS.fetch(level.to_s.to_sym) { raise Invalid.new(:not_allowed, path: "/level") }
          Drawing.new(machine, seed, figures).made_up(loads)
        end

        # The heaviest that one begins with here (kg): as a first load of anybody; nil where nothing can be loaded.
        def first_load_kg
          return if loads.empty?

          action = machine.family.action
          return loads.min unless Loading::Strength::ACTIONS.include?(action)

          strength = Loading::Strength.new(person, [], now: 0)
          Loading::FirstLoad.new(
            strength,
            machine: machine.id,
            action: action,
            person: person,
            cautions: !caution.nil?
          ).load_kg(loads)
        end

        # Whether it is felt in the joint, and not where it should work: where that truly lies off.
        def felt_in_joint?(wishes, indices)
          mechanics, place = truly(wishes, indices)
          mechanics
            .all_findings(place)
            .any? { |found| machine.family.findings.fetch(found.code).group == :joint && found.severity > 1 }
        end

        # What is aimed at by the house's first schools, narrowed by the caution.
        def wishes
          family = machine.family
          aims = family.wishes.transform_values(&:default).compact
          less = effect.less.to_h { |wish, deg| [wish, family.wishes.fetch(wish).default - deg] }
          Mechanisms::Wishes.for(family, envelope: effect.envelope, **aims, **less, **effect.wishes)
        end

        def effect = Guidance::Cautions.effect(machine.family, caution ? [Guidance::Cautions::Caution.of(caution)] : [])

        # What the tape reads of them (mm): once and for all, with the tape's own error.
        def reading_mm(name)
          observation = Body::Observation.fetch(name)
          expected, = Body::Estimate.exact(body).expected(observation)
          (expected + (observation.sd_mm * chance("tape/#{name}").normal)).round
        end

        # Names of signs that are seen at some marks, and of those that were looked for in vain. knowledge: what is
        # known of them there: how far they are asked to go rests on it. said: cues that were said.
        def watched(knowledge, indices, said: [])
          asked = knowledge.evaluation(indices)
          agreed = asked.mechanics.agreed(asked.place)
          mechanics, place = truly(asked.wishes, indices)
          shown, others = Guidance::Signs.of(machine).partition { |name| sign(name).shows }
          seen =
            shown.select { |name| seen?(sign(name), mechanics.shown(sign(name).shows.number, place, agreed), indices) }
          seen += others & [(technique unless mended?(said))]
          [seen, shown - seen]
        end

        # How it truly is at some marks: [Mechanism, Place] and the worst severity of what is graded.
        def truly(wishes, indices)
          mechanics = Mechanisms.for(true_machine, body, wishes.wishing(**limits.slice(*wishes.values.keys)))
          [mechanics, mechanics.place(true_machine.parameters(indices))]
        end

        def true_severity(wishes, indices)
          mechanics, place = truly(wishes, indices)
          mechanics.all_findings(place).map(&:severity).max || 0
        end

        # Whether a cue that was said is about what they do.
        def mended?(said)
          technique.nil? || said.intersect?(Guidance::Cues.of(machine.family, technique, effect.spared))
        end

        private

        def sign(name) = Guidance::Signs::ALL.fetch(name)

        # The same for the same marks: who looks twice sees the same.
        def seen?(sign, number, indices)
          return false unless number

          sharp =
            Statistics::Gaussian.cumulative(
              sign.shows.side * (number - sign.shows.at),
              mean: 0.0,
              sd: sign.shows.spread
            )
          slip = MadeUp::SLIP
          chance("look/#{sign.name}/#{indices.join(",")}").share < slip + ((1 - (2 * slip)) * sharp)
        end

        def chance(what) = Statistics::Chance.new("#{seed}/#{what}")
      end

    MadeUp::TABLE = Tables[:practice]
    MadeUp::LEVELS = MadeUp::TABLE[:levels].to_h { |row| [row[:name], row] }.freeze
    MadeUp::SLIP = MadeUp::TABLE[:slip][:share]
  end
end
