# frozen_string_literal: true

require "date"

module Verglas
  module Web
    # A client met by a machine, from their rows: where store's rows become core's questions. On a station, by one of its
    # exercises; the advice is then the station's, with the seat shared.
    class Bench
      attr_reader :gym, :client, :readings, :machine_row, :exercise, :fitting

      # The bench of a fitting; nil where the gym has none.
      def self.of(gym, fitting_id)
        rows = Store::Queries::FittingOnBench.new(gym).call(fitting_id)
        rows && new(gym, fitting: rows[:fitting], client: rows[:client], machine_row: rows[:machine], exercise: rows[:fitting][:exercise])
      end

      # exercise: its name, "" on a machine with one.
      def initialize(gym, client:, machine_row:, exercise: "", readings: gym.readings.of(client[:id]), fitting: nil, rules: nil)
        @rules = rules
        @gym = gym
        @client = client
        @readings = readings
        @machine_row = machine_row
        @exercise = exercise
        @fitting = fitting
      end

      def machine = @machine ||= machine_of(exercise[/.+/])
      def checked_rows = @checked_rows ||= Store::Queries::CheckedFittings.new(gym).call(client[:id])
      def checked = @checked ||= Inputs::CheckedFittings.of(checked_rows)
      def estimation = @estimation ||= Inputs::ClientBody.estimation(client, readings, checked: checked)

      # {aid => sizes, mm} of the cushions and pads which the gym owns and this machine takes.
      def aid_sizes
        @aid_sizes ||= Fitting::Mechanisms.of(machine)::AIDS.select { |aid| takes?(aid) }.to_h { |aid| [aid, gym.equipment.sizes.fetch(aid.to_s.delete_suffix("_mm"))] }
      end

      # {question => school} that holds for this client, and what was chosen for the client alone.
      def rules = @rules ||= Fitting::HouseRules.chosen(**rules_chosen)
      def own_rules = rules_chosen[:client]

      # The same bench under other rules.
      def with_rules(rules)
        self.class.new(gym, client: client, machine_row: machine_row, exercise: exercise, readings: readings, fitting: fitting, rules: rules)
      end

      def caution_rows = @caution_rows ||= gym.cautions.of(client[:id])
      def caution_effect = effect_on(machine.family)

      # What keeps this client off this machine: cautions, and the maker's limits. {code => numbers for words}
      def bars(today = Date.today)
        caution_effect.bars.to_h { |name| [name, {}] }.merge(maker_mass, maker_age(today))
      end

      # Codes for which the marks cannot be accepted, whatever the reason; empty when they can.
      def refusals(evaluation)
        Fitting::NeverAccepted.reasons(evaluation, Fitting::Cautions::Effect.new(bars: bars.keys, wishes: {}))
      end

      # What is aimed at on a machine: by the rules, narrowed by the cautions.
      def wishes_for(machine, **given)
        Fitting::Wishes.for(machine.family, **Fitting::HouseRules.wishes(machine.family, rules), **effect_on(machine.family).wishes, **given)
      end

      # Names of the readings which the body rests on: what was refused is left out.
      def taken = estimation.reports.reject(&:refused).map { |report| report.reading.observation }

      def station? = !exercise.empty?
      def advice = @advice ||= station? ? station_advice.exercises[exercise] : plain_advice

      # {exercise => Machine} and what they are advised together.
      def exercises = @exercises ||= Store::Tables::Machines.exercises(machine_row).to_h { |name| [name, machine_of(name)] }

      def station_advice
        @station_advice ||= Fitting::StationAdvice.new(machines: exercises, shared: shared, cushions: cushions, estimate: estimation.estimate, taken: taken,
                                                       wishes: exercises.transform_values { |machine| wishes_for(machine) })
      end

      # Labels of the adjusters which a station's exercises share.
      def shared = station? ? Machines::Families.fetch(machine_row[:family]).shared(Store::Tables::Machines.data(machine_row)) : []

      # Cushions and pads that go with the advised marks.
      def advised_aids = Inputs::Aids.of(advice.wishes.to_h)

      def evaluation(marks, aids = {})
        wishes = wishes_for(machine, **Inputs::Aids.wishes(aids))
        Fitting::Evaluation.new(machine: machine, estimate: estimation.estimate, wishes: wishes, indices: machine.indices(marks))
      end

      # What an accepted fitting keeps: as it was shown.
      def result(marks, aids = {}) = Views::Evaluation.of(evaluation(marks, aids))

      # And what it was computed from.
      def computed_from
        { model: Views::Fitting::MODEL, sex: client[:sex], body_mass_kg: client[:body_mass_kg]&.to_f,
          readings: estimation.reports.map { |report| Views::Body.report(report) }, learned: Views::Body.learned(checked_rows),
          mean_mm: Views.rounded(estimation.estimate.mean), sd_mm: Views.rounded(estimation.estimate.sd),
          machine: { id: machine.id, name: machine.name, description_number: machine_row[:number] },
          wishes: advice.wishes.to_h, rules: Views::Rules.used(machine.family, rules), cautions: caution_rows.map { |row| Views::Cautions.line(row) }, advised: advice.marks, advised_status: advice.status }
      end

      private

      def effect_on(family)
        aimed_at = { **family.wanted, **Fitting::HouseRules.wishes(family, rules) }
        Fitting::Cautions.effect(family, caution_rows.map { |row| Inputs::Caution.value(row) }, aimed_at)
      end

      def maker_mass
        limit = machine_row[:user_mass_limit_kg]
        limit && client[:body_mass_kg] && client[:body_mass_kg] > limit ? { maker_mass: { limit: limit.to_i } } : {}
      end

      def maker_age(today)
        limit = machine_row[:least_age_years]
        limit && client[:birth_date] && client[:birth_date] > today << (12 * limit) ? { maker_age: { limit: limit } } : {}
      end

      def rules_chosen = @rules_chosen ||= gym.rules.chosen(client[:id])
      def machine_of(exercise) = Store::Tables::Machines.value(machine_row, exercise: exercise)

      def plain_advice
        Fitting::Advice.new(machine: machine, estimate: estimation.estimate, wishes: wishes_for(machine, hip_pad_mm: hip_pad_mm), taken: taken, cushions: cushions)
      end

      def cushions
        behind, below = aid_sizes.values_at(:cushion_back_mm, :cushion_seat_mm)
        Fitting::Cushions.new(back_mm: behind.to_a, seat_mm: below.to_a)
      end

      # On a flat bench, the pad that bends the hips best.
      def hip_pad_mm = Fitting::HipPad.nearest(estimation.estimate.dimensions, aid_sizes[:hip_pad_mm].to_a).to_f

      # A hinge bends the hips by itself; cushions are the maker's to allow.
      def takes?(aid) = aid == :hip_pad_mm ? !machine.hinged? : machine_row[:cushions_allowed]
    end
  end
end
