# frozen_string_literal: true

module Verglas
  module Practice
    # Draws a MadeUp from a seed.
    class Drawing
      # figures: a row of the table's levels.
      def initialize(machine, seed, figures)
        @machine = machine
        @seed = seed
        @figures = figures
        @chance = Statistics::Chance.new(seed.to_s)
      end

      # Ages and body masses that a gym meets: years, kg a square metre.
      AGES = (18..74)
      MASSES = (19.0..34.0)

      def made_up(loads)
        sex = @chance.share < 0.5 ? "man" : "woman"
        body = body(Body::Prior.estimate(sex: sex, mass_index: nil).normal)
        limits = limits()
        true_machine = true_machine()
        caution, barring = caution()
        MadeUp.new(
          machine: @machine,
          seed: @seed,
          level: @figures[:name],
          true_machine: true_machine,
          sex: sex,
          body: body,
          limits: limits,
          person: person(sex, body),
          loads: loads,
          caution: caution,
          barring: barring,
          technique: technique,
          start: @machine.adjusters.map { |adjuster| @chance.below(adjuster.size) }.then { |indices| together(indices) }
        )
      end

      private

      def normal = @chance.normal

      def body(known)
        offsets = Statistics::Draws.spread(known.covariance, known.mean.map { normal })
        Body::Dimensions.new(*known.mean.zip(offsets).map(&:sum))
      end

      # Their own, where the family aims at them.
      def limits
        MadeUp::TABLE[:limits]
          .slice(*@machine.family.wishes.keys)
          .to_h do |name, sd|
            [name, [@machine.family.wishes[name].default + (sd * @figures[:limits] * normal), 5.0].max]
          end
      end

      def person(sex, body)
        mass_index = MASSES.min + ((MASSES.max - MASSES.min) * @chance.share)
        Loading::Strength::Person.new(
          sex: sex.to_sym,
          mass_kg: (mass_index * ((body.stature / 1000.0)**2)).round,
          age_years: AGES.min + @chance.below(AGES.size),
          stature_mm: body.stature
        )
      end

      # What the tape got wrong.
      def true_machine
        off =
          @machine.constants.to_h do |name, value|
            [
              name,
              value.zero? ? value : value + (@figures[:machine] * @machine.family.constant(name).taped_sd * normal)
            ]
          end
        @machine.with(constants: off)
      rescue Invalid
        @machine
      end

      # [name, whether it bars here]; nil for none.
      def caution
        share = @chance.share
        barring, narrowing = cautions.partition { |_, effect| effect.barred? }
        return pick(barring), true if share < @figures[:barred] && barring.any?
        return nil, false if share > @figures[:barred] + @figures[:cautioned] || narrowing.empty?

        [pick(narrowing), false]
      end

      def pick(pairs) = pairs[@chance.below(pairs.size)].first

      # {name => Effect} of those that do something here. One that nobody was asked about is none of a client's.
      def cautions
        (Guidance::Cautions::RULES.keys - [:not_asked])
          .to_h { |name| [name, Guidance::Cautions.effect(@machine.family, [Guidance::Cautions::Caution.of(name)])] }
          .select { |_, effect| effect.barred? || effect.wishes.any? || effect.envelope != Body::Envelope.open }
      end

      # One that a cue is about.
      def technique
        names =
          Guidance::Signs
            .of(@machine)
            .reject do |name|
              sign = Guidance::Signs::ALL.fetch(name)
              sign.shows || sign.never || Guidance::Cues.of(@machine.family, name).empty?
            end
        return if @chance.share >= @figures[:technique] || names.empty?

        names[@chance.below(names.size)]
      end

      # What takes another's mark stands as that does.
      def together(indices)
        @machine
          .adjusters
          .each_with_index
          .inject(indices) { |all, (adjuster, place)| adjuster.follows? ? all : @machine.set(all, place, all[place]) }
      end
    end
  end
end
