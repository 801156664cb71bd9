# frozen_string_literal: true

module Verglas
  module Application
    # Where a caution asks for the steepest bench: the gym's bench on which the trunk hangs least, if it is another one.
    module SteeperBench
      module_function

      # Its row; nil where none in use is steeper, or a bar stands there too.
      def of(meeting)
        own = steepest_deg(meeting.machine)
        others(meeting)
          .filter_map { |row, machine| [steepest_deg(machine), row] if open?(meeting, row, machine.family) }
          .select { |deg, _| deg > own }
          .max_by { |deg, row| [deg, row[:name]] }
          &.last
      end

      # The angle at its steepest mark (degrees), 0 of a level one and of one that is not taped.
      def steepest_deg(machine)
        angle = machine.constants[:bench_angle] or return 0.0
        turning = machine.adjusters.find { |adjuster| adjuster.drives?(:bench_angle) }
        turning ? angle + turning.travel.map { |travel| travel * turning.drives[:bench_angle] }.max : angle
      end

      def others(meeting)
        rows =
          meeting.gym.machines.in_service.select do |row|
            row[:state] == "in_use" && row[:id] != meeting.machine_row[:id]
          end
        turning =
          rows.flat_map do |row|
            Machines::Families
              .fetch(row[:family])
              .exercises
              .select { |_, family| family.constants.key?(:bench_angle) }
              .map { |exercise, _| [row, exercise] }
          end
        turning.map { |row, exercise| [row, Described.machine(row, exercise)] }
      end

      def open?(meeting, row, family)
        Safety
          .new(meeting.gym, client: meeting.client, machine_row: row, rows: meeting.safety.rows) { meeting.estimation }
          .bars(family)
          .empty?
      end
      private_class_method :steepest_deg, :others, :open?
    end
  end
end
