# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # One person at one station of a group: at which marks they work there, or that they do not; nothing says why.
      #   fitting_id   the accepted one, nil where nobody was fitted there yet; marks: {label => mark}, nil where they
      #                do not work there; tags: as a person reads them; printed: {label => marks in their order}
      #   aids, how    cushions, and how one works there, in sentences that name no caution and nobody
      #   instead      [[key, name]] of machines that would serve, best first
      Place =
        Value.define(:fitting_id, :marks, :tags, :printed, :load, :aids, :how, :instead) do
          # last: the accepted fitting's row, nil where nobody was fitted there; lifted: the set that was lifted there
          # last, nil for none; instead: asked where they do not work there.
          def self.of(meeting, last, lifted, instead:)
            return at_accepted(meeting, last, lifted) || none(instead.call) if last

            open_as_advised?(meeting) ? as_advised(meeting) : none(instead.call)
          end

          # nil where nobody may be set up so today.
          def self.at_accepted(meeting, last, lifted)
            marks, aids = Sheet.today(meeting, last).values_at(:marks, :aids)
            evaluation = meeting.evaluation(marks, aids)
            return if gives_way?(meeting) || Told::Barred.at(meeting, evaluation).any?

            here(
              meeting,
              evaluation,
              marks,
              Aids.of(aids),
              fitting_id: last[:id],
              load: CardLines.load(last, meeting, lifted)
            )
          end

          def self.as_advised(meeting)
            advice = meeting.advice
            here(meeting, advice.evaluation, advice.marks.compact, meeting.advised_aids, fitting_id: nil, load: "")
          end

          def self.here(meeting, evaluation, marks, aids, **told)
            new(
              marks: marks,
              tags: Told::Names.tags(marks, aids),
              printed: meeting.machine.adjusters.to_h { |adjuster| [adjuster.label, adjuster.marks] },
              aids: Aids.says(aids, meeting.bands),
              how: Told::Allowed.of(meeting, evaluation) - Told::Allowed.between_staff(meeting),
              instead: [],
              **told
            )
          end

          def self.open_as_advised?(meeting)
            !gives_way?(meeting) && Substitutes.serves?(meeting) && Told::Barred.advised(meeting).empty?
          end

          # Out of order, or a caution puts another machine before it.
          def self.gives_way?(meeting) = meeting.machine_row[:state] != "in_use" || !meeting.belt_squat_first.nil?

          # Where they do not work there, or it cannot be worked out.
          def self.none(instead = [])
            new(fitting_id: nil, marks: nil, tags: [], printed: {}, load: "", aids: [], how: [], instead: instead)
          end
          private_class_method :at_accepted, :as_advised, :here, :open_as_advised?, :gives_way?

          def works? = !marks.nil?

          # {label => place of the mark} of any marks of this machine.
          def places_of(some) = some.to_h { |label, mark| [label, printed.fetch(label, []).index(mark)] }.compact

          # The same of their own; nil where they do not work there.
          def places = marks && places_of(marks)
        end
    end
  end
end
