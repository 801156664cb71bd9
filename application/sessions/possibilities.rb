# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # What a client could do today, and what they are kept off with why: their own settings as they can be set up
      # again, and every other machine that would fit them.
      class Possibilities
        # fitted: [Possible] of accepted fittings; others: {key => Possible} of machines that fit and on which nobody
        # fitted them; kept_off: [KeptOff]; body: Statistics::Normal; barred: what keeps them off every
        # machine, in sentences, [] where something is open.
        Known = Struct.new(:fitted, :others, :kept_off, :body, :barred)
        # instead: keys of what stands for it, best first.
        KeptOff = Struct.new(:key, :name, :place, :action, :why, :instead)

        # aim: name of one of the gym's, nil: as every fitting has it.
        def self.of(gym, client, aim: nil) = new(gym, client, aim: aim).known

        def initialize(gym, client, aim:)
          @gym = gym
          @client = client
          @aim = Loading::Aim.table(gym.aims.all).find { |one| one.name == aim }
        end

        # Kept until something changes of which it is made.
        def known
          Kept
            .shared
            .of(:possibilities, basis) { Known.new(fitted.grep(Possible), others, fitted.grep(KeptOff), body, barred) }
        end

        private

        def basis
          Fingerprint.of(
            floor.basis,
            card.map { |row| row.values_at(:id, :accepted_at, :version) },
            visited,
            visits.sets_of(@client[:id]),
            [@gym.tempos.all, @gym.aims.all, @aim],
            taken.to_a.flatten,
            set_up.basis
          )
        end

        def floor = @floor ||= FloorCard.new(@gym, @client[:id])
        def visits = Store::Queries::LastVisits.new(@gym)
        def visited = @visited ||= visits.call(@client[:id])
        def card = @card ||= Store::Queries::ClientCard.new(@gym).call(@client[:id]).select { |row| accepted?(row) }
        def accepted?(row) = row[:state] == "accepted" && row[:taken_back_at].nil?

        def set_up = @set_up ||= SetUpTimes.of(@gym)

        # Of the whole gym, asked once an hour.
        def taken
          @taken ||=
            Kept
              .shared
              .of(:times, [@gym.id, Time.now.to_i / 3600]) do
                Store::Queries::TimesTaken.new(@gym).call(longest_s: Seconds::TIMES[:longest_s])
              end
        end

        # [Possible or KeptOff], a line a machine and exercise on the card.
        def fitted
          @fitted ||=
            card
              .map { |row| Meeting.again(@gym, row[:id]) }
              .reject { |meeting| meeting.machine_row[:state] == "retired" }
              .map { |meeting| line(meeting) }
        end

        def line(meeting)
          OneLine.of(meeting.machine_row[:id], -> { kept_off(meeting, Told::Barred.of([OneLine::BAR])) }) do
            marks = Sheet.repaired(meeting, meeting.fitting[:marks].to_h)
            evaluation = meeting.evaluation(marks, meeting.fitting[:aids].to_h)
            why = [*out_of_order(meeting), *Told::Barred.at(meeting, evaluation), *gives_way(meeting)]
            why.any? ? kept_off(meeting, why) : offered(meeting).accepted(marks)
          end
        end

        def out_of_order(meeting)
          Formats::Words.say("sessions.out_of_order") if meeting.machine_row[:state] != "in_use"
        end

        # Where a caution puts another machine before it, and the gym has one that serves.
        def gives_way(meeting)
          first = meeting.belt_squat_first or return
          Formats::Words.say("sessions.gives_way", machine: first)
        end

        def offered(meeting)
          place = [meeting.machine_row[:id], meeting.exercise]
          Offered.new(meeting, aim: @aim, taken: taken[place], set_up: set_up, last_at: visited[place])
        end

        def kept_off(meeting, why)
          instead = OneLine.of(meeting.machine_row[:id], -> { [] }) { floor.instead(meeting) }
          KeptOff.new(
            Offered.key(meeting),
            Offered.name(meeting),
            meeting.machine_row[:place],
            meeting.machine.family.action,
            why,
            instead.map { |found| "#{found.row[:id]}/#{found.exercise}" }
          )
        end

        def body
          any = floor.meetings.each_value.first
          any && any.estimation.met.normal
        end

        # Where nothing is open: what keeps them off most of it.
        def barred
          return [] if others.any? || fitted.any?

          said = floor.meetings.values.flat_map { |meeting| Told::Barred.advised(meeting) }
          said.tally.sort_by { |sentence, count| [-count, sentence] }.first(REASONS).map(&:first)
        end
        REASONS = 3
        private_constant :REASONS

        # {key => Possible} of machines on which nobody fitted them and that would fit.
        def others
          @others ||=
            floor
              .meetings
              .except(*card.map { |row| row.values_at(:machine_id, :exercise) })
              .each_value
              .select { |meeting| meeting.machine_row[:state] == "in_use" }
              .filter_map { |meeting| other(meeting) }
              .to_h { |one| [one.key, one] }
        end

        # Where it would fit, and nothing is to be shown or measured before.
        def other(meeting)
          OneLine.of(meeting.machine_row[:id], -> {}) do
            offered(meeting).advised if Substitutes.serves?(meeting) && Told::Barred.advised(meeting).empty?
          end
        end
      end
    end
  end
end
