# frozen_string_literal: true

module Verglas
  module Loading
    # How strong somebody is in each joint action, from their log: ln of the effective load (kg) of ten clean, hard
    # repetitions, as a normal. What all actions have in common and what each has for itself are learned together, so
    # that a set of one says something of the others. docs/model.md section 13
    class Strength
      TABLE = Tables[:strength]
      ACTIONS = TABLE[:shares][:by_action].keys.freeze
      # sex: :man, :woman, nil; mass_kg, age_years, stature_mm: nil where not known.
      Person = Value.define(:sex, :mass_kg, :age_years, :stature_mm)
      UNKNOWN_FACTOR = [0.0, TABLE[:factor][:sd]**2].freeze

      # sets: [Lifted] as they were logged; factors: {machine => [mean, variance]}; now: the week of asking.
      def initialize(person, sets, now:, factors: {})
        @person = person
        @sets = sets
        @now = now
        @factors = factors
      end

      def mean(action) = base(action) + state.expected(row(action)) - lost(action)
      def variance(action) = state.variance(row(action))
      def sd(action) = Math.sqrt(variance(action))

      # [mean, variance] of how much stronger one action is than another.
      def difference(action, other)
        rows = [action, other].map { |one| row(one) }
        [mean(action) - mean(other), state.variance(rows.first.zip(rows.last).map { |one, two| one - two })]
      end
      def clean? = @sets.any?(&:clean?)

      # [mean, variance] of a machine's factor.
      def factor(machine) = @factors.fetch(machine, UNKNOWN_FACTOR)

      private

      # Of [common, one an action].
      def row(action) = [1.0, *ACTIONS.map { |one| one == action ? 1.0 : 0.0 }]

      def base(action) = Math.log(share(action) * lean_kg) - years - (clean? ? 0 : TABLE[:unproved][:less])

      def share(action)
        man, woman = TABLE[:shares][:by_action].fetch(action).values_at(:man, :woman)
        { man: man, woman: woman }.fetch(@person.sex) { Math.sqrt(man * woman) }
      end

      def lean_kg
        return mass_kg unless @person.stature_mm

        full = TABLE[:lean][:full_kg_per_m2] * ((@person.stature_mm / 1000.0)**2)
        mass_kg <= full ? mass_kg : full + (TABLE[:lean][:share_above] * (mass_kg - full))
      end

      def mass_kg = @person.mass_kg || (TABLE[:lean][:usual_kg_per_m2] * ((stature_mm / 1000.0)**2))

      def stature_mm
        @person.stature_mm || Tables[:body][:prior_stature_mm].fetch(@person.sex || :not_given)[:mean]
      end

      def years
        age = @person.age_years or return 0
        past = ->(from) { [age - from, 0].max }
        (TABLE[:age][:a_year] * past[TABLE[:age][:from_years]]) +
          (TABLE[:age][:late_a_year] * past[TABLE[:age][:late_from_years]]) +
          (TABLE[:young][:a_year] * [TABLE[:young][:below_years] - age, 0].max)
      end

      # What weeks without an action took.
      def lost(action)
        own = @sets.select { |set| set.action == action }
        weeks = (own.empty? ? @sets : own).map(&:week)
        return 0 if weeks.empty?

        figures = TABLE[:weeks]
        [figures[:most_lost], figures[:lost] * [@now - weeks.max - figures[:free], 0].max].min
      end

      def state = @state ||= walked(*learned)

      # The latest set on each machine, by week, within a week by the machine: [state, week of the last].
      def learned
        counting.inject([prior, nil]) do |(so_far, week), set|
          [read(week ? stepped(so_far, set.week - week) : so_far, set), set.week]
        end
      end

      def counting
        @sets
          .group_by(&:machine)
          .map { |_, of_machine| of_machine.each_with_index.max_by { |set, index| [set.week, index] }.first }
          .sort_by { |set| [set.week, set.machine] }
      end

      def walked(so_far, week) = week ? stepped(so_far, @now - week) : so_far

      def prior
        own = TABLE[:prior][:action]**2
        diagonal([common_variance, *ACTIONS.map { own }])
      end

      def common_variance
        age = @person.age_years
        more = [
          *(:age_unknown if age.nil?),
          *(:old_or_young if age && (age >= TABLE[:age][:late_from_years] || age < TABLE[:young][:below_years])),
          *(:sex_unknown unless @person.sex),
          *(:mass_unknown unless @person.mass_kg)
        ]
        [:common, *more].sum { |name| TABLE[:prior][name]**2 }
      end

      def diagonal(variances)
        rows = variances.each_index.map { |i| variances.each_index.map { |j| i == j ? variances[i] : 0.0 } }
        Statistics::Normal.new(mean: variances.map { 0.0 }, covariance: rows)
      end

      # So many weeks of the random walk.
      def stepped(so_far, weeks)
        step = weeks * (TABLE[:weeks][:walk_sd]**2)
        rows =
          so_far.covariance.each_with_index.map { |row, i| row.each_with_index.map { |e, j| i == j ? e + step : e } }
        Statistics::Normal.new(mean: so_far.mean, covariance: rows)
      end

      def read(so_far, set)
        mean, variance = factor(set.machine)
        value = set.reading + mean - base(set.action)
        sd = Math.sqrt(set.variance + variance)
        return so_far.observe(row: row(set.action), value: value, sd: sd) if set.bound.zero?

        so_far.observe_bound(row: row(set.action), value: value, sd: sd, side: set.bound)
      end
    end
  end
end
