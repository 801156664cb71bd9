# frozen_string_literal: true

module Verglas
  module Web
    # A client met by a machine, from their rows: where store's rows become core's questions.
    class Bench
      attr_reader :client, :readings, :machine_row, :fitting

      # The bench of a fitting, on the machine as it was described when the fitting was opened; nil where the gym has none.
      def self.of(gym, fitting_id)
        rows = Store::Queries::FittingOnBench.new(gym).call(fitting_id)
        rows && new(fitting: rows[:fitting], client: rows[:client], readings: gym.readings.of(rows[:client][:id]), machine_row: rows[:machine])
      end

      def initialize(client:, readings:, machine_row:, fitting: nil)
        @fitting = fitting
        @client = client
        @readings = readings
        @machine_row = machine_row
      end

      def machine = @machine ||= Store::Tables::Machines.value(machine_row)
      def estimation = @estimation ||= Inputs::ClientBody.estimation(client, readings)
      def wishes = @wishes ||= Fitting::Wishes.for(machine.family)

      # Names of the readings which the body rests on: what was refused is left out.
      def taken = estimation.reports.reject(&:refused).map { |report| report.reading.observation }

      def advice = @advice ||= Fitting::Advice.new(machine: machine, estimate: estimation.estimate, wishes: wishes, taken: taken)

      def evaluation(marks)
        Fitting::Evaluation.new(machine: machine, estimate: estimation.estimate, wishes: wishes, indices: machine.indices(marks))
      end

      # What an accepted fitting keeps: as it was shown.
      def result(marks) = Views::Evaluation.of(evaluation(marks))

      # And what it was computed from.
      def computed_from
        { model: Views::Fitting::MODEL, sex: client[:sex], body_mass_kg: client[:body_mass_kg]&.to_f,
          readings: estimation.reports.map { |report| Views::Body.report(report) },
          mean_mm: Views.rounded(estimation.estimate.mean), sd_mm: Views.rounded(estimation.estimate.sd),
          machine: { id: machine.id, name: machine.name, description_number: machine_row[:number] },
          wishes: wishes.to_h, advised: advice.marks, advised_status: advice.status }
      end
    end
  end
end
