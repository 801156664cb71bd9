# frozen_string_literal: true

module Verglas
  module Application
    # What a fitting holds: marks, cushions and pads, load, signs, note, what was seen by eye, the step at hand. From a
    # request to the store's fields, from a row to what is shown, and what a new one begins with.
    module Sheet
      FIELDS = Store::Tables::Fittings::SHEET
      # Tried not for a sign, but because a creep test said so.
      CREEP_TEST = "creep_test"
      NO_FLOW = { "at" => nil, "done" => {}, "skipped" => {} }.freeze
      NO_WORK = {
        "load_kg" => nil,
        "left_kg" => nil,
        "right_kg" => nil,
        "repetitions" => nil,
        "sets" => nil,
        "last" => nil,
        "felt" => nil,
        "felt_side" => nil,
        "belt" => nil,
        "aim" => nil
      }.freeze

      module_function

      # A request's fields, as far as they were sent. bench: whose marks they must be.
      def of_input(meeting, input)
        marks = meeting.machine.marks(meeting.machine.indices(input[:marks]))
        sheet = { **input.slice(*FIELDS), marks: marks }
        sheet[:aids] = Aids.sent(input[:aids]) if input.key?(:aids)
        sheet[:load] = Told::Load.printed(meeting.rig, sheet[:work]["load_kg"]) if meeting.rig && sheet.key?(:work)
        refuse_unknown_signs(meeting.machine, sheet.fetch(:signs, []))
        refuse_unknown_marks(meeting.machine, sheet.fetch(:creep, {}))
        refuse_unknown_tries(meeting, sheet.fetch(:trail, []))
        refuse_unknown_looks(meeting.machine, sheet.fetch(:work, {}).fetch("watched", []))
        SaidCues.check(meeting.gym, meeting.machine, sheet.fetch(:work, {}).fetch("cues", []), "/work/cues")
        sheet
      end

      def of_row(row)
        {
          **row.slice(:load, :signs, :trail, :note, :cue, :reason, :roller_seen),
          marks: row[:marks].to_h,
          aids: Aids.of(row[:aids].to_h),
          knee_off_mm: row[:knee_off_mm]&.to_f,
          flow: row[:flow] || NO_FLOW,
          work: {
            **NO_WORK,
            **row[:work]
          },
          creep: row[:creep].to_h
        }
      end

      # Of a fitting that is opened: as last accepted where that still stands on this machine, else as advised; the seat
      # as the station's other exercise has it.
      def at_opening(meeting, last:, sibling:)
        by_others = meeting.untaped_marks.transform_values(&:mark)
        marks = meeting.machine.indices(meeting.advice.marks.merge(by_others))
        advised = { marks: meeting.machine.marks(marks), aids: meeting.advised_aids }
        kept =
          last &&
            {
              **today(meeting, last).then do |stands|
                { marks: stands[:marks], aids: Aids.of(meeting.left_of(stands[:aids])) }
              end,
              **carried(meeting, last),
              cue: last[:cue]
            }
        sheet = kept || advised
        if sibling
          sheet.merge(marks: repaired(meeting, sheet[:marks].merge(sibling[:marks].to_h.slice(*meeting.shared))))
        else
          sheet
        end
      end

      # Marks that were chosen on an older description of the machine: what is not there any more stands as advised.
      def repaired(meeting, marks)
        machine = meeting.machine
        kept =
          machine.adjusters.to_h do |adjuster|
            mark = marks[adjuster.label]
            [adjuster.label, adjuster.marks.include?(mark) ? mark : meeting.advice.marks[adjuster.label]]
          end
        machine.marks(machine.indices(kept))
      end

      # Marks and aids as they are set today: as they were accepted, what sets the range opened as far as it is by now.
      # row: of an accepted fitting. {marks:, aids:}
      def today(meeting, row)
        marks = repaired(meeting, row[:marks].to_h)
        aids = row[:aids].to_h
        return { marks: marks, aids: aids } unless meeting.grows? && row[:accepted_at]

        range = RangeToday.since(meeting, marks, aids, row.fetch(:work))
        { marks: range.marks, aids: range.aids }
      end

      # The load goes on from where it was, unless a clinician allows less now; how it went is asked anew.
      def carried(meeting, last)
        work = last[:work]
        counts = work.slice("repetitions", "sets")
        return { load: "", work: counts } if meeting.overloaded?(work)

        { load: last[:load], work: { **work.slice("load_kg", "left_kg", "right_kg"), **counts } }
      end

      # A creep test was read at marks of this machine.
      def refuse_unknown_marks(machine, creep)
        machine.indices(creep["marks"]) if creep.key?("marks")
      rescue Invalid => e
        raise e.below("/creep")
      end

      # What was tried for a sign, in the machine's own words; what was written before may tell of marks that are no
      # more.
      def refuse_unknown_tries(meeting, trail)
        before = (meeting.fitting&.fetch(:trail) || []).map { |one| one.except("outcome") }
        trail.each_with_index do |one, index|
          unless before.include?(one.except("outcome")) || try_known?(meeting.machine, one)
            raise Invalid.new(:not_allowed, path: "/trail/#{index}")
          end
        end
      end

      def try_known?(machine, one)
        adjuster = machine.adjusters.find { |candidate| candidate.label == one["adjuster"] }
        signs = [CREEP_TEST, *Guidance::Signs.of(machine).map(&:to_s)]
        signs.include?(one["sign"]) && !adjuster.nil? && ([one["from"], one["to"]] - adjuster.marks).empty?
      end

      def refuse_unknown_signs(machine, signs)
        unknown = signs - Guidance::Signs.of(machine).map(&:to_s)
        raise Invalid.new(:not_allowed, path: "/signs") unless unknown.empty?
      end

      # A repetition was watched at marks of this machine; what was kept before it was taped again is left alone.
      def refuse_unknown_looks(machine, watched)
        watched.each_with_index do |one, index|
          refuse_unknown_signs(machine, one["seen"])
        rescue Invalid => e
          raise e.below("/work/watched/#{index}")
        end
      end
      private_class_method :refuse_unknown_looks,
                           :refuse_unknown_tries,
                           :try_known?,
                           :carried,
                           :refuse_unknown_marks,
                           :refuse_unknown_signs
    end
  end
end
