# frozen_string_literal: true

module Verglas
  module Application
    # What a closed fitting keeps for good: the result as it was told, and what it was computed from.
    # docs/formats/records.md
    module Record
      # Of what is kept; one that was written in an older format is brought up to date when it is read (Upcaster).
      FORMAT = 2
      # Which computation a record came from; changes when the model's numbers do.
      MODEL = "2026-12"

      module_function

      # meeting: at whose marks, with which aids in use.
      def of(meeting, marks, aids)
        {
          result: {
            format: FORMAT,
            **Told::Evaluation.of(meeting.evaluation(marks, aids))
          },
          computed_from: computed_from(meeting, meeting.evaluation(marks, aids))
        }
      end

      # What today's advice rests on. accepted: at the marks that were.
      def computed_from(meeting, accepted)
        estimate = meeting.estimation.estimate
        {
          model: MODEL,
          **meeting.client.slice(:sex),
          body_mass_kg: meeting.client[:body_mass_kg]&.to_f,
          readings: meeting.estimation.reports.map { |report| Told::Estimate.report(report) },
          learned: Told::Estimate.learned(meeting.checked_rows),
          mean_mm: Told.rounded(estimate.mean),
          sd_mm: Told.rounded(estimate.sd),
          machine: {
            id: meeting.machine.id,
            name: meeting.machine.name,
            description_number: meeting.machine_row[:number]
          },
          **wishes(meeting.advice.evaluation.wishes),
          **told(meeting, accepted),
          **kept(meeting),
          advised: meeting.advice.marks,
          advised_status: meeting.advice.status
        }
      end

      # What was aimed at, and within which range of the joints.
      def wishes(wishes)
        { wishes: { **wishes.values, slack_from_deg: wishes.slack_from_deg }, envelope: wishes.envelope.to_h }
      end

      # Under which rules, and what the client was told to keep to.
      def told(meeting, accepted)
        {
          rules: Told::Rules.used(meeting.machine.family, meeting.rules, but_for: meeting.overridden),
          allowed: Told::Allowed.of(meeting, accepted)
        }
      end

      # Limits and cautions as they stood, each with what it did on this machine.
      def kept(meeting)
        {
          limits: meeting.safety.measured,
          cautions: meeting.safety.rows.map { |row| Told::Caution.line(row, meeting: meeting) }
        }
      end
      private_class_method :wishes, :kept
    end
  end
end
