# frozen_string_literal: true

module Verglas
  module Application
    # What the store knows of a client on a machine, each asked once and when it is wanted. given: what was read
    # already, for many people or machines together.
    class MeetingRows
      def initialize(meeting, given)
        @gym = meeting.gym
        @meeting = meeting
        @given = given
      end

      # Fittings that were checked by eye (Store::Queries::CheckedFittings); how fittings went where body weight is the
      # load (Store::Queries::ShownEfforts).
      def checked_rows
        @checked_rows ||= @given[:checked_rows] || Store::Queries::CheckedFittings.new(@gym).call(client_id)
      end

      def shown_efforts
        @shown_efforts ||=
          @given[:shown] || Store::Queries::ShownEfforts.new(@gym).call(client_id, families: Readiness::FAMILIES)
      end

      # Which schools gym and client chose; cushions and pads that the gym owns; its table by aim.
      def rules_chosen = @rules_chosen ||= @given[:rules_chosen] || @gym.rules.chosen(client_id)
      def equipment = @equipment ||= @given[:equipment] || @gym.equipment.sizes
      def bands = @bands ||= @given[:bands] || @gym.equipment.bands
      def aims = @aims ||= Loading::Aim.table(@gym.aims.all)

      # The latest accepted fitting here; the draft of an exercise of the same station; the other exercise's fitting.
      def last_accepted = @gym.fittings.last_accepted(client_id, machine_id, @meeting.exercise)
      def draft(exercise) = @gym.fittings.draft(client_id, machine_id, exercise)
      def sibling = @gym.fittings.sibling(client_id, machine_id, @meeting.exercise)

      # {adjuster's label => photograph's id}; the marks that stand there now, nil where nobody knows.
      def photographs = @gym.photographs.of(machine_id).to_h { |row| row.values_at(:adjuster, :id) }
      def standing = @gym.queues.of(machine_id, @meeting.exercise)[:standing]

      # {[machine, exercise] => the set that was lifted last}, of this client on all machines.
      def lifted = Store::Queries::LatestLoads.new(@gym).call(client_id)

      # What was said to this client before, and how it went on: of the latest fitting on each machine, and of the sets
      # on this one.
      def cues_said
        fitted =
          Store::Queries::LatestFittings.new(@gym).call(client_id).flat_map { |row| row[:work].fetch("cues", []) }
        [*fitted, *log.cues_said]
      end

      # The rung (Guidance::Ladder) that counts for the range; of the range, what is gone through on it.
      def ladder = log.ladder_before_today
      def range_share = ladder.range_share

      def log
        @log ||= @given[:logs] ? @given[:logs].call.of(@meeting) : Logbook.of(@meeting)
      end
      private :log

      # Whether nobody has lifted anything here yet.
      def never_visited?
        where = { client_id: client_id, machine_id: machine_id, exercise: @meeting.exercise.to_s }
        @gym.visits.dataset.where(where).empty?
      end

      # Cautions of the client that were taken out; when somebody asked about them.
      def cautions_removed = @gym.cautions.removed(client_id)
      def asking = Asking.new(@gym, @meeting.client)

      # Who works here, by name; and one by id.
      def staff = @gym.staff
      def staff_name(id) = id && @gym.staff_name(id)

      private

      def client_id = @meeting.client[:id]
      def machine_id = @meeting.machine_row[:id]
    end
  end
end
