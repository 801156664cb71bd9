# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # What a client could do today, and what they are kept off with why: their own settings as they can be set up
      # again, and every other machine that would fit them. Each part is worked out when it is wanted, and kept until
      # something changes of which it is made.
      class Possibilities
        # instead: keys of what stands for it, best first.
        KeptOff = Struct.new(:key, :name, :place, :action, :why, :instead)
        # A machine on which nobody fitted them and that would fit: what it is chosen by and what it loads, as of
        # Possible, before it is worked out what they would do there.
        Other =
          Struct.new(:key, :action, :loads, :last_at, :fit) do
            def fitted? = false
            def fitted_at = nil
          end

        # aim: name of one of the gym's, nil: as every fitting has it.
        def initialize(gym, client, aim: nil)
          @gym = gym
          @client = client
          @aim = Loading::Aim.table(gym.aims.all).find { |one| one.name == aim }
        end

        # [Possible] of accepted fittings; what they are kept off of it.
        def fitted = on_card.grep(Possible)
        def kept_off = on_card.grep(KeptOff)

        # [Other]: all of them, and those of one action.
        def others = fitting(not_fitted)
        def others_of(action) = fitting(not_fitted.select { |_, meeting| meeting.machine.family.action == action })

        # Possible, by the key of one of them; nil where it is none.
        def other(key)
          meeting = not_fitted[key]
          return unless meeting && tried(key, meeting).any?

          Kept
            .shared
            .of(:others, [basis, key]) do
              OneLine.of(meeting.machine_row[:id], -> {}) { offered(meeting).advised(teaches: card.empty?) }
            end
        end

        # Statistics::Normal; nil where the gym has no machine.
        def body
          any = floor.meetings.each_value.first
          any && any.estimation.met.normal
        end

        # Where nothing is open, what keeps them off most of it, in sentences; [] where something is.
        def barred
          return [] if fitted.any? || others.any?

          said = floor.meetings.values.flat_map { |meeting| Told::Barred.advised(meeting) }
          said.tally.sort_by { |sentence, count| [-count, sentence] }.first(REASONS).map(&:first)
        end
        REASONS = 3
        private_constant :REASONS

        private

        def basis
          @basis ||=
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
        def card = @card ||= Store::Queries::LatestFittings.new(@gym).call(@client[:id])

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
        def on_card
          @on_card ||=
            Kept
              .shared
              .of(:possibilities, basis) do
                card.filter_map do |row|
                  machine = machines.fetch(row[:machine_id])
                  next if Described.off_the_floor?(machine)

                  line(floor.meeting(machine, row[:exercise], fitting: row))
                end
              end
        end

        # {id => a machine's row, as it is described now}
        def machines = @machines ||= @gym.machines.all.to_h { |row| [row[:id], row] }
        def logs = @logs ||= Logbook::All.new(@gym, @client[:id])

        def lifted
          @lifted ||= Store::Queries::LiftedSets.new(@gym).call([@client[:id]]).fetch(@client[:id], [])
        end

        def line(meeting)
          OneLine.of(meeting.machine_row[:id], -> { off(meeting, Told::Barred.of([OneLine::BAR])) }) do
            marks, aids = Sheet.today(meeting, meeting.fitting).values_at(:marks, :aids)
            evaluation = meeting.evaluation(marks, aids)
            why = [*out_of_order(meeting), *Told::Barred.at(meeting, evaluation), *gives_way(meeting)]
            why.any? ? off(meeting, why) : offered(meeting).accepted(marks, aids)
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
          Offered.new(
            meeting,
            aim: @aim,
            taken: taken[place],
            set_up: set_up,
            last_at: visited[place],
            log: logs.of(meeting),
            lifted: lifted
          )
        end

        def off(meeting, why)
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

        # {key => Meeting}
        def not_fitted
          @not_fitted ||=
            floor
              .meetings
              .except(*card.map { |row| row.values_at(:machine_id, :exercise) })
              .select { |_, meeting| meeting.machine_row[:state] == "in_use" }
              .transform_keys { |place| place.join("/") }
        end

        def fitting(meetings) = meetings.flat_map { |key, meeting| tried(key, meeting) }

        # [Other], [] where it would not fit.
        def tried(key, meeting)
          at = [meeting.machine_row[:id], meeting.exercise]
          fit = OneLine.of(at.first, -> {}) { floor.serving(at) } or return []

          [Other.new(key, meeting.machine.family.action, Closed.loads(meeting.machine.family), visited[at], fit)]
        end
      end
    end
  end
end
