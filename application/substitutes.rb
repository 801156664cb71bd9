# frozen_string_literal: true

module Verglas
  module Application
    # Where a machine does not fit somebody: the gym's other machines that train the same joint action, fit this client
    # and are not barred, and serve better than this one: the best first.
    module Substitutes
      # row: the machine's; exercise: which one, on a station; advice: what is advised there.
      Found = Struct.new(:row, :exercise, :advice) { def family = advice.machine.family }

      module_function

      # Whether they are asked for: without anything added, something is wrong at every mark.
      def asked?(advice) = advice.status == :impossible || advice.grade_without_cushions == "fault"

      # Found, best first; none where the machine itself fits. others: the client met by the gym's machines, where
      # somebody has that already.
      def of(meeting, others: nil)
        near = -> { others || candidates(meeting) }
        serve = -> do
          near.call.filter_map do |other|
            OneLine.of(other.machine_row[:id], -> {}) { found(other) if same?(meeting, other) }
          end
        end
        return sorted(serve.call.select { |one| hangs?(one.family) }) if gives_way?(meeting)
        return [] unless asked?(meeting.advice)

        own = rank(meeting.advice)
        sorted(serve.call.select { |one| (rank(one.advice) <=> own).negative? })
      end

      def sorted(founds) = founds.sort_by { |one| [rank(one.advice), one.row[:name]] }

      # Whether a caution puts a belt squat before this machine, however well it fits; not where the house takes it as a
      # stand-in.
      def gives_way?(meeting)
        !hangs?(meeting.machine.family) && meeting.rules[:stand_in] == :belt_first &&
          meeting.caution_effect.told.any? { |one| one.key == :belt_squat_first }
      end

      def hangs?(family) = family.tags[:hangs_from_hips]

      # How well a machine serves: the worst severity, whether something has to be added, the sum of it all. Two
      # machines never send to one another.
      def rank(advice) = [advice.evaluation.score.worst, asked?(advice) ? 1 : 0, advice.evaluation.score.cost]

      # In service, not out of order, and of the same action.
      def candidates(meeting)
        rows =
          meeting.gym.machines.in_service.select do |row|
            row[:state] == "in_use" && row[:id] != meeting.machine_row[:id]
          end
        each =
          rows.flat_map do |row|
            Machines::Families
              .fetch(row[:family])
              .plain_exercises
              .map { |exercise, family| [row, exercise.to_s, family] }
          end
        each
          .select { |_, _, family| family.action == meeting.machine.family.action }
          .map do |row, exercise, _|
            Meeting.new(
              meeting.gym,
              client: meeting.client,
              machine_row: row,
              exercise: exercise,
              readings: meeting.readings
            )
          end
      end

      def same?(meeting, other)
        other.machine_row[:state] == "in_use" && other.machine_row[:id] != meeting.machine_row[:id] &&
          other.machine.family.action == meeting.machine.family.action
      end

      # Whether a client who meets a machine may be set up there as it is advised.
      def serves?(meeting) = meeting.bars.none? && meeting.advice.status == :fits && seen_whole?(meeting)

      def found(meeting)
        return unless serves?(meeting)

        Found.new(meeting.machine_row, meeting.exercise, meeting.advice)
      end

      # Whether no joint has a limit there of which no angle is claimed.
      def seen_whole?(meeting)
        meeting
          .machine
          .family
          .joints
          .each_value
          .select(&:by_eye?)
          .all? { |joint| meeting.envelope[joint.motion] == Body::Envelope::OPEN }
      end
      private_class_method :sorted, :hangs?, :candidates, :same?, :found, :seen_whole?
    end
  end
end
