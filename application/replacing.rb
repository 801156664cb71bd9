# frozen_string_literal: true

module Verglas
  module Application
    # Whoever was fitted on a machine, on another that takes its place: what each is advised there, through their own
    # cautions, and who is to be looked at first. So many people at once. docs/model.md section 8
    class Replacing
      # So many people are answered at once.
      PEOPLE = 20
      # A mark that is less sure is looked at before anybody relies on it.
      SURE = 0.6

      # A client's setting on the old machine (a fitting's row with its client's), and their bench on the other one;
      # keeps_off: sentences; sure: {adjuster's label => how probable its mark is}, of those that a rule decides; first:
      # FirstLoads::Told, nil where nothing is told; tried: the fitting's row of who was fitted there already, else nil.
      Line =
        Value.define(:fitting, :meeting, :keeps_off, :sure, :first, :tried) do
          # Whether somebody looks first: less than sure, not a fit, or nothing is told.
          def check? = keeps_off.any? || sure.empty? || unsure.any? || meeting.advice.status != :fits

          # Labels of those that are less than sure.
          def unsure = sure.select { |_, probability| probability < SURE }.keys
        end
      # lines: of these people; from, of: the first one's place among so many.
      Answer = Struct.new(:lines, :from, :of) { def following = (from + PEOPLE if from + PEOPLE < of) }

      def initialize(gym, machine_row)
        @gym = gym
        @row = machine_row
      end

      # Machines that train something of what this one trains: in service, or such as the gym thinks of buying.
      def others
        mine = actions(@row)
        all = [*@gym.machines.in_service, *@gym.machines.considered]
        all.select { |row| row[:id] != @row[:id] && actions(row).intersect?(mine) }
      end

      # Retires it for another of these. Raises Invalid where that is none of them.
      def replace(instead, version:, by:)
        taken = other(instead)
        Described.on_the_floor!(taken, path: "/instead")
        @gym.machines.hold(taken[:id])
        @gym.machines.update(@row[:id], version: version, by: by, state: "retired", replaced_by: taken[:id])
      end

      # instead: the other's id; from: the place of the first person. Raises Invalid where it is none of others.
      def settings(instead, from)
        other = other(instead)
        fittings = Store::Queries::MachineFittings.new(@gym)
        page = fittings.latest_of_people(@row[:id], from: from, most: PEOPLE)
        ids = page[:rows].map { |row| row[:client_id] }.uniq
        @people = Store::Queries::People.new(@gym).call(ids)
        @lifted = Store::Queries::LiftedSets.new(@gym).call(ids)
        @tried = fittings.latest(other[:id], ids).to_h { |row| [row.values_at(:client_id, :exercise), row] }
        Answer.new(page[:rows].filter_map { |fitting| line(other, fitting) }, from, page[:of])
      end

      private

      def other(id) = others.find { |row| row[:id] == id } || raise(Invalid.new(:not_allowed, path: "/instead"))

      def actions(row) = Described.exercises(row).filter_map { |name| action(row, name) }
      def action(row, exercise) = Machines::Families.fetch(row[:family]).exercise(exercise).action

      # nil where the other trains nothing of what was done.
      def line(other, fitting)
        meeting = card(other, fitting[:client_id]).find { |one| one.family.action == action(@row, fitting[:exercise]) }
        return unless meeting

        tried = @tried[[fitting[:client_id], meeting.exercise]]
        told = OneLine.of(other[:id], -> { { keeps_off: Told::Barred.of([OneLine::BAR]) } }) { advised(meeting) }
        Line.new(
          fitting: fitting,
          meeting: meeting,
          sure: told.fetch(:sure, {}),
          first: tried ? nil : told[:first],
          keeps_off: told[:keeps_off],
          tried: tried
        )
      end

      def card(other, id)
        (@cards ||= {})[id] ||= FloorCard
          .new(@gym, id, rows: [other], person: @people.fetch(id), shared: shared)
          .meetings
          .values
      end
      def shared = @shared ||= Meeting::Shared.of(@gym)

      def advised(meeting)
        keeps_off = Told::Barred.advised(meeting)
        return { keeps_off: keeps_off } if keeps_off.any?

        first = FirstLoads.of(meeting, rows: @lifted.fetch(meeting.client[:id], []))
        { keeps_off: keeps_off, sure: meeting.advice.status ? probable(meeting.advice) : {}, first: first }
      end

      def probable(advice) = advice.adjusters.to_h { |one| [one.label, one.probability] }.compact
    end
  end
end
