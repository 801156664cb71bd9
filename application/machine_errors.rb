# frozen_string_literal: true

module Verglas
  module Application
    # How far a machine sits from its tape, by the fittings on it that were checked by eye: the body as it is known
    # without this machine says what was required, the marks what was accepted. docs/model.md section 8
    class MachineErrors
      # Of so many clients, those who were there last.
      PEOPLE = 100
      # Of fewer fittings nothing is told.
      LEAST = 3

      # One fitting, mm in the machine's own frame: what the body asked of the length, what stood there, the pitch of
      # the marks and the body's share of the variance.
      Fit = Struct.new(:at, :required, :accepted, :pitch, :variance)
      # Of one length: bias: Fitting::TapedBias; drift: [mm, SD] of the last ten, nil for none; value: as it is taped.
      Learned =
        Struct.new(:exercise, :constant, :value, :fits, :bias, :drift) do
          # As it would be taken into the description, to the millimetre; nil where nothing is sure enough.
          def corrected = bias.told? ? (value + bias.mean_mm).round : nil
        end

      def self.of(gym, row) = new(gym, row).learned

      def initialize(gym, row)
        @gym = gym
        @row = row
      end

      # [Learned], a line a length of which enough is known; people's readings as they were within the hour.
      def learned
        rows = Store::Queries::CheckedFittings.new(@gym).on(@row[:id], most: PEOPLE)
        hour = Time.now.to_i / 3600
        basis = Fingerprint.of(Fingerprint.machine(@row), rows.map { |row| row[:fitting_id] }, hour)
        Kept.shared.of(:machine_errors, basis) { computed(rows) }
      end

      private

      def computed(rows)
        persons = Store::Queries::People.new(@gym).call(rows.map { |row| row[:client_id] })
        fits = rows.flat_map { |row| OneLine.of(@row[:id], -> { [] }) { fits(row, persons[row[:client_id]]) } }
        fits.group_by(&:first).filter_map { |place, some| of_length(*place, some.map(&:last)) }
      end

      def of_length(exercise, constant, fits)
        return if fits.size < LEAST

        readings = fits.map { |fit| fit.to_a.drop(1) }
        Learned.new(
          exercise,
          constant,
          Described.constants(@row, exercise).fetch(constant.to_s),
          fits,
          Fitting::TapedBias.learned(readings),
          Fitting::TapedBias.drift(readings)
        )
      end

      # [[[exercise, constant], Fit]] of one fitting, of the lengths that are described today as they were then.
      def fits(row, person)
        checked = person && CheckedFittings.one(row) or return []

        exercise = row[:exercise]
        elsewhere = person.checked.reject { |other| other[:id] == @row[:id] }
        estimate = ClientBody.estimation(person.row, person.readings, checked: CheckedFittings.of(elsewhere)).met
        checked
          .misses(estimate)
          .filter_map do |constant, (off, variance, pitch)|
            next unless as_today?(row, exercise, constant.to_s)

            accepted = stood(row, exercise, constant)
            [[exercise, constant], Fit.new(row[:accepted_at], accepted + off, accepted, pitch, variance)]
          end
      end

      # Whether the length and what moves it are described today as they were when it was accepted.
      def as_today?(row, exercise, constant)
        [row, @row].map { |one| [Described.constants(one, exercise)[constant], movers(one, exercise, constant)] }
          .uniq
          .one?
      end

      def movers(row, exercise, constant)
        Described
          .adjusters(row, exercise)
          .select { |adjuster| adjuster["drives"].key?(constant) }
          .map { |adjuster| adjuster.slice("marks", "travel", "drives") }
      end

      def stood(row, exercise, constant)
        machine = Described.value(row, exercise: exercise[/.+/])
        machine.parameters(machine.indices(row[:marks].to_h)).fetch(constant)
      end
    end
  end
end
