# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What is predicted for a client on every machine of the gym: marks, how well they would fit, how surely; why not
      # where not, and which machine instead.
      module Predictions
        module_function

        # card: Application::FloorCard. Kept until something changes of which it is made.
        def of(card) = Application::Kept.shared.of(:predictions, card.basis) { computed(card) }

        def computed(card)
          lines =
            card.meetings.map do |(machine_id, exercise), meeting|
              told =
                Application::OneLine.of(machine_id, -> { NOT_COMPUTED }) do
                  # A plan of what they do today asks next.
                  card.serving([machine_id, exercise])
                  one(card, meeting)
                end
              { machine_id: machine_id, exercise: exercise, **told }
            end
          { predictions: lines }
        end

        def one(card, meeting)
          bars = Told::Barred.before(meeting)
          return NOTHING.merge(bars: bars) if bars.any? || meeting.advice.status.nil?
          if Told::Barred.advised(meeting).any?
            return(
              NOTHING.merge(
                status: meeting.advice.status,
                from: from(meeting),
                why: why(meeting),
                instead: instead(card, meeting)
              )
            )
          end

          {
            status: meeting.advice.status,
            grade: meeting.advice.evaluation.grade,
            likely: meeting.advice.evaluation.likely?,
            marks: marks(meeting),
            bars: [],
            aids: Application::Aids.says(meeting.advised_aids),
            from: from(meeting),
            why: why(meeting),
            instead: instead(card, meeting)
          }
        end

        # Barred, or not taped; where no mark can be accepted, that it does not fit.
        NOTHING = {
          status: nil,
          grade: nil,
          likely: false,
          marks: [],
          aids: [],
          from: nil,
          why: nil,
          instead: [],
          bars: []
        }.freeze

        NOT_COMPUTED = NOTHING.merge(bars: Told::Barred.of([Application::OneLine::BAR])).freeze

        def marks(meeting) = Told::Names.tags(Advice.advised_marks(meeting.advice), meeting.advised_aids)

        # What is worst there, in a sentence; nil where everything is in line.
        def why(meeting)
          worst = meeting.advice.evaluation.findings.max_by(&:severity)
          Told::Finding.says(worst, meeting.advice.evaluation) if worst&.severity&.positive?
        end

        # What it rests on most.
        def from(meeting)
          source = meeting.taken.size > 1 ? :taped : :estimated
          Formats::Words.say("predicted.#{meeting.checked_rows.any? ? :checked : source}")
        end

        def instead(card, meeting)
          card.instead(meeting).map { |found| Told::Names.machine(found.row[:name], found.exercise) }
        end
        private_class_method :computed, :one, :marks, :why, :from, :instead
      end
    end
  end
end
