# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # One person at one station of a group: at which marks they work there, or that they do not; nothing says why.
      #   fitting_id   the accepted one, nil where nobody was fitted there yet; marks: {label => mark}, nil where they
      #                do not work there; tags: as a person reads them; printed: {label => marks in their order}
      #   instead      [[key, name]] of machines that would serve, best first
      Place =
        Value.define(:fitting_id, :marks, :tags, :printed, :load, :instead) do
          def self.of(meeting, last, lifted, instead:)
            marks = last ? Sheet.repaired(meeting, last[:marks].to_h) : meeting.advice.marks.to_h.compact
            if closed?(meeting, last, marks)
              return new(fitting_id: nil, marks: nil, tags: [], printed: {}, load: "", instead: instead.call)
            end

            new(
              fitting_id: last && last[:id],
              marks: marks,
              tags: Told::Names.tags(marks, last ? Aids.of(last[:aids].to_h) : meeting.advised_aids),
              printed: meeting.machine.adjusters.to_h { |adjuster| [adjuster.label, adjuster.marks] },
              load: last ? CardLines.load(last, meeting, lifted) : "",
              instead: []
            )
          end

          def self.closed?(meeting, last, marks)
            return true unless meeting.machine_row[:state] == "in_use"
            return Told::Barred.at(meeting, meeting.evaluation(marks, last[:aids].to_h)).any? if last

            meeting.bars.any? || !Substitutes.serves?(meeting) || Told::Barred.advised(meeting).any?
          end

          # Where it cannot be worked out.
          def self.none = new(fitting_id: nil, marks: nil, tags: [], printed: {}, load: "", instead: [])

          def works? = !marks.nil?

          # How setting up is counted for these people, one after another.
          def self.changeover(places)
            times = Tables[:session][:at_machine]
            Planning::Changeover.new(
              pin_s: times[:pin_s],
              adjusters:
                places
                  .flat_map { |place| place.marks.to_h.keys }
                  .uniq
                  .to_h { |label| [label, times.values_at(:adjuster_s, :mark_s)] }
            )
          end

          # {label => place of the mark} of any marks of this machine.
          def places_of(some) = some.to_h { |label, mark| [label, printed.fetch(label, []).index(mark)] }.compact

          # The same of their own; nil where they do not work there.
          def places = marks && places_of(marks)
        end
    end
  end
end
