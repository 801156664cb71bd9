# frozen_string_literal: true

require "date"

module Verglas
  module Application
    # A client met by every machine of the gym: what the bench would advise on each, from the tape and from what was
    # checked elsewhere, before anybody walks there. The same advice as the bench's own, for it is the bench's own.
    class FloorCard
      # rows, person, shared: what was read already: the machines in service, one of Store::Queries::People, what the
      # gym has (Meeting::Shared).
      def initialize(gym, client_id, rows: nil, person: nil, shared: nil)
        @gym = gym
        @client_id = client_id
        @rows = rows
        @person = person
        @shared = shared
      end

      # {[machine id, exercise] => Meeting} of all machines in service, each exercise.
      def meetings
        @meetings ||=
          rows
            .flat_map { |row| Described.exercises(row).map { |exercise| proposed(row, exercise.to_s) } }
            .to_h { |meeting| [[meeting.machine_row[:id], meeting.exercise], meeting] }
      end

      # Of one machine's row; fitting: an accepted one's.
      def meeting(row, exercise, fitting: nil)
        Meeting.among(
          @gym,
          person,
          machine_row: row,
          exercise: exercise,
          shared: shared,
          fitting: fitting,
          given: {
            shown: shown,
            stations: stations,
            advices: method(:advices),
            logs: method(:logs)
          }
        )
      end

      # Everything of which it is made, as a digest: the same while body, cautions, rules, machines and what the gym
      # owns are, on one day.
      def basis
        @basis ||=
          Fingerprint.of(
            @gym.id,
            person.to_a,
            rows.map { |row| Fingerprint.machine(row) },
            shared.to_a,
            shown,
            (logs.basis if grows?),
            Date.today
          )
      end

      # How well a machine serves, as it is advised (Substitutes.rank); nil where it does not, or something is to be
      # shown or measured before. Kept: the client's page and a plan of what they do today ask the same. at: [machine
      # id, exercise].
      def serving(at)
        Kept
          .shared
          .of(:serving, [basis, *at]) do
            meeting = meetings.fetch(at)
            serves = Substitutes.serves?(meeting) && Told::Barred.advised(meeting).empty?
            [serves ? Substitutes.rank(meeting.advice) : nil]
          end
          .first
      end

      # Where a machine does not serve: the gym's others that do (Substitutes), best first.
      def instead(meeting) = Substitutes.of(meeting, others: meetings.values)

      private

      # Of all that a client does, asked where somebody new begins with less.
      def logs = @logs ||= Logbook::All.new(@gym, @client_id)
      def grows?
        rules = Guidance::HouseRules.chosen(gym: shared.rules, client: person.own_rules)
        rules[:newcomers_range] == :less_first
      end

      # Done for what a house rule puts first.
      def proposed(row, exercise)
        one = meeting(row, exercise)
        name = OneLine.of(row[:id], -> { exercise }) { one.proposed }
        name == exercise ? one : meeting(row, name)
      end

      def rows = @rows ||= @gym.machines.in_service
      def person = @person ||= Store::Queries::People.new(@gym).call([@client_id]).fetch(@client_id)
      def shown = @shown ||= Store::Queries::ShownEfforts.new(@gym).call(@client_id, families: Readiness::FAMILIES)
      def stations = @stations ||= {}
      def advices(at, &) = Kept.shared.of(:advices, [basis, *at], &)
      def shared = @shared ||= Meeting::Shared.of(@gym)
    end
  end
end
