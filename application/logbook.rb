# frozen_string_literal: true

module Verglas
  module Application
    # What a client lifted on a machine, visit by visit, and what follows from it today: the load with its reason, the
    # rung. A fitting in which somebody said how the last repetition went is a visit too.
    class Logbook
      # row: of store's visits, nil where it was a fitting; fitting: the accepted one it was set up from; sets: rows, as
      # they were done.
      Entry = Struct.new(:at, :fitting, :row, :visit)
      GOES_ON_S = Tables[:loads][:log][:one_visit][:hours] * 3600

      # meeting: of an accepted fitting, on the machine as it is described now; rows: of Store::Queries::Logbook.
      # done: of Store::Queries::LastOfAction#of_client, nil to ask when it is wanted.
      def initialize(meeting, rows, done: nil, now: Time.now)
        @meeting = meeting
        @rows = rows
        @done = done
        @now = now
      end

      def self.of(meeting)
        new(
          meeting,
          Store::Queries::Logbook.new(meeting.gym).call(meeting.client[:id], meeting.machine_row[:id], meeting.exercise)
        )
      end

      # Of all that a client does, read together.
      class All
        NOTHING = { fittings: [], visits: [] }.freeze

        def initialize(gym, client_id)
          @rows = Store::Queries::Logbook.new(gym).of_client(client_id)
          @done = Store::Queries::LastOfAction.new(gym).of_client(client_id)
        end

        def of(meeting) = Logbook.new(meeting, rows(meeting), done: @done)
        def rows(meeting) = @rows.fetch([meeting.machine_row[:id], meeting.exercise], NOTHING)

        # What it was made of, for a digest.
        def basis = @rows.values.flat_map { |some| some[:visits].map { |row| row.values_at(:id, :last_at, :sets) } }
      end

      # Oldest first.
      def entries = @entries ||= [*of_fittings, *of_visits].sort_by(&:at)

      # Of those before today's visit: its own sets are still being done.
      def before = entries.reject { |entry| entry.row && entry.row[:id] == going_on&.fetch(:id) }

      # The visit of today from this fitting, with its sets; nil where none has begun.
      def going_on
        @rows[:visits].reverse.find do |row|
          row[:fitting_id] == @meeting.fitting[:id] && row[:last_at] >= @now - GOES_ON_S
        end
      end

      # Loading::NextLoad, for both legs or for one; nil where the machine's loads were never described.
      def today(one_leg: false)
        return unless rig

        last = last_on(one_leg) || (known unless one_leg)
        if one_leg && last.nil? && both_kg
          return Loading::NextLoad.one_leg(rig.choices, both_kg, limit_kg: limit_kg(true))
        end

        load_after(last, one_leg: one_leg, gap: gap, measure: measure_straight?(before))
      end

      # The same of the next visit, with what was done today; nil where nobody has said yet how a set with both legs
      # went.
      def next_time
        done = entries.last&.visit&.on(one_leg: false)
        load_after(done, measure: measure_straight?(entries)) if rig && going_on&.fetch(:sets)&.any? && done&.load_kg
      end

      # What both legs lifted alone at the last visit before today's, [left, right] in kg; nil where not both did.
      def sides_before
        fitted = @rows[:fittings].map { |row| [row[:accepted_at], row[:work].to_h.values_at("left_kg", "right_kg")] }
        _, sides = [*sides_of_visits, *fitted].select { |_, loads| loads.all? }.max_by(&:first)
        sides&.map(&:to_f)
      end

      # Since the last set of this action, on whichever machine; what came between and weakens is a caution of its own.
      def gap
        @gap ||=
          begin
            last = @done ? last_among(@done) : last_asked
            if last
              Loading::Gap.new(weeks: (@now - last) / (7 * 86_400.0), anew: weakened_since?(last))
            else
              Loading::Gap.none
            end
          end
      end

      def last_asked
        Store::Queries::LastOfAction.new(@meeting.gym).call(
          @meeting.client[:id],
          of: same_action,
          but_visit: going_on&.fetch(:id)
        )
      end

      # What goes on is left out, as it is there.
      def last_among(done)
        now = going_on&.fetch(:id)
        counting = done.reject { |_, _, visit, _| now && visit == now }
        counting.select { |family, exercise, *| same_action.include?([family, exercise]) }.map(&:last).max
      end
      private :last_asked, :last_among

      # Nothing harder than a load is told to somebody whom a caution spares something.
      def ladder = Guidance::Ladder.of(before.map(&:visit), **(@meeting.safety.rows.any? ? { most: :load } : {}))

      # {"cue", "about", "went"} of sets, as they were done.
      def cues_said = @rows[:visits].flat_map { |row| row[:sets] }.filter_map { |set| set[:how]["cue"] }

      # The rung that counts for the range: of what is over, whichever fitting it was done from.
      def ladder_before_today
        over = entries.select { |entry| entry.row.nil? || entry.row[:last_at] < @now - GOES_ON_S }
        Guidance::Ladder.of(over.map(&:visit))
      end

      # Where the load met the leg at the last visit, where that is elsewhere today: {label => [from, to]}; nothing
      # where it is not.
      def pad_moved
        last = before.last&.visit
        last ? Loading::Pad.moved(last.pad, pad(marks)) : {}
      end

      # How many times as hard the pad of today presses the leg as the last one did, at one load; nil where that cannot
      # be told.
      def press_ratio(from_marks, to_marks)
        before, after = [from_marks, to_marks].map { |marks| lever_mm(marks) }
        before / after if before && after&.positive?
      end

      # The same of today against the last visit.
      def press_today = pad_moved.any? ? press_ratio(before.last.fitting[:marks].to_h, marks) : nil

      private

      def load_after(last, measure:, one_leg: false, gap: Loading::Gap.none)
        effect = @meeting.caution_effect
        Loading::NextLoad.today(
          rig.choices,
          last,
          pad: pad(marks),
          limit_kg: limit_kg(one_leg),
          light_share: effect.light_share,
          in_hand: !effect.in_hand.nil?,
          gap: gap,
          measure: measure
        )
      end

      # Where hamstrings end a movement and nobody measured them: short at two visits and no sign, so they are measured
      # before a load goes down.
      def measure_straight?(visited)
        wish = @meeting.machine.family.wishes[:knee_straight_deg]
        return false if wish.nil? || @meeting.safety.measured.key?(wish.measured_as) || visited.size < 2

        uncleared = @meeting.safety.rows.reject { |row| row[:cleared_on] }.map { |row| row[:caution].to_sym }
        visited.last(2).all? { |entry| entry.visit.outcome == :short } &&
          Guidance::Limits.fetch(wish.measured_as).skipped_for(uncleared).empty?
      end

      def sides_of_visits
        over = @rows[:visits].reject { |row| row[:id] == going_on&.fetch(:id) }
        over.map { |row| [row[:begun_at], %w[left right].map { |leg| last_of(row, leg) }] }
      end

      def last_of(row, leg) = row[:sets].reverse.find { |set| set[:leg] == leg && set[:kind] == "" }&.fetch(:load_kg)

      # After which one begins as if nothing were known.
      WEAKENING = %w[surgery birth].freeze
      private_constant :WEAKENING

      def weakened_since?(last)
        @meeting.safety.rows.any? do |row|
          WEAKENING.include?(row[:caution]) && (row[:cleared_on].nil? || row[:cleared_on] >= last.to_date)
        end
      end

      def same_action
        action = @meeting.machine.family.action
        Machines::Families.all.flat_map do |family|
          family
            .all_exercises
            .select { |_, one| one.action == action }
            .keys
            .map { |exercise| [family.id.to_s, exercise.to_s] }
        end
      end

      def rig = @meeting.rig
      def marks = @meeting.fitting[:marks].to_h
      def fittings = @fittings ||= [*@rows[:fittings], @meeting.fitting].compact.to_h { |row| [row[:id], row] }
      def pad(marks) = Loading::Pad.of(@meeting.machine, marks)

      def both_kg = (last_on(false) || known)&.load_kg

      # On a plate that both legs push, one takes half at most.
      def limit_kg(one_leg)
        half = Loading::Remarks.one_leg_most_kg(both_kg) if one_leg && both_kg && @meeting.machine.family.one_plate?
        [@meeting.load_limit_kg, half].compact.min
      end

      def last_on(one_leg) = before.reverse.filter_map { |entry| entry.visit.on(one_leg: one_leg) }.first

      # What stands on the fitting where nobody said how it went.
      def known
        load_kg = @meeting.fitting[:work]["load_kg"]
        load_kg &&
          Loading::Visit.new(
            sets: [
              Loading::DoneSet.new(load_kg: load_kg, last: nil, reached: nil, joint: false, sign: false, one_leg: false)
            ],
            pad: pad(marks)
          )
      end

      def of_fittings
        @rows[:fittings].filter_map do |row|
          work = row[:work]
          next unless work["last"] || work["felt"] == "joint" || row[:signs].any?

          set =
            Loading::DoneSet.new(
              load_kg: work["load_kg"],
              last: work["last"]&.to_sym,
              reached: nil,
              joint: work["felt"] == "joint",
              sign: row[:signs].any?,
              one_leg: false
            )
          Entry.new(row[:accepted_at], row, nil, Loading::Visit.new(sets: [set], pad: pad(row[:marks].to_h)))
        end
      end

      # One from a fitting that was taken back meanwhile rests on nothing.
      def of_visits
        @rows[:visits].filter_map do |row|
          fitting = fittings[row[:fitting_id]]
          sets = own_sets(row).map { |set| done(set) }
          sets = [planned(row)] if sets.empty? && row[:planned_kg]
          if fitting && sets.any?
            Entry.new(row[:begun_at], fitting, row, Loading::Visit.new(sets: sets, pad: pad(fitting[:marks].to_h)))
          end
        end
      end

      # The machine was set up and nobody wrote how it went.
      def planned(row)
        Loading::DoneSet.new(
          load_kg: row[:planned_kg].to_f,
          last: nil,
          reached: nil,
          joint: false,
          sign: false,
          one_leg: false
        )
      end

      # Those of one's own; of those with help what hurt, or was seen, and nothing of what was lifted.
      def own_sets(row)
        helped, own = row[:sets].partition { |set| set[:kind] != "" }
        [*helped.select { |set| done(set).then { |one| one.joint || one.sign } }, *own]
      end

      def done(set)
        how = set[:how]
        meaning = how["felt"] && Guidance::Regions.fetch(how["felt"]).meaning(@meeting.machine.family)
        Loading::DoneSet.new(
          load_kg: set[:load_kg]&.to_f,
          last: how["last"]&.to_sym,
          reached: how["reached"]&.to_f,
          joint: meaning == :joint,
          sign: !how["sign"].nil? || how["held_back"] || meaning == :elsewhere,
          one_leg: !set[:leg].empty?
        )
      end

      def lever_mm(marks)
        evaluation = @meeting.evaluation(marks)
        evaluation.mechanics.lever_mm(evaluation.place)
      rescue Invalid # a mark that is no more on this machine
        nil
      end
    end
  end
end
