# frozen_string_literal: true

module Verglas
  module Formats
    # Core values as the plain data of the command-line door's answers.
    module Answers
      # The document's short names for the core's quantities.
      QUANTITIES = {
        knee_s_mm: :k_s, knee_n_mm: :k_n, offset_mm: :offset, thigh_slope_deg: :thigh_slope, clearance_mm: :D,
        contact_start_mm: :q_start, contact_middle_mm: :q_mid, contact_end_mm: :q_end, creep_mm: :creep,
        torque_ratio_start: :ratio_start, torque_ratio_middle: :ratio_mid, torque_ratio_end: :ratio_end,
        shin_start_deg: :phi_start, shin_end_deg: :phi_end, knee_bend_start_deg: :knee_bend_start, knee_bend_end_deg: :knee_bend_end,
        above_ankle_mm: :above_ankle, contact_error_mm: :contact_error, force_per_torque_n_per_nm: :force_per_torque,
        crease_gap_mm: :crease_gap, kneecap_gap_mm: :kneecap_gap, thigh_press_mm: :thigh_press,
        kneecap_clear_mm: :kneecap_clear, end_target_deg: :end_target, end_arm_deg: :end_arm, end_missing_deg: :end_missing, hip_bend_deg: :hip_bend
      }.freeze

      module_function

      def evaluation(evaluation)
        { grade: evaluation.grade, findings: findings(evaluation), quantities: evaluation.quantities.transform_keys(QUANTITIES),
          sd: evaluation.sds.transform_keys(QUANTITIES), interval: evaluation.intervals.transform_keys(QUANTITIES),
          by_hand: evaluation.graded.select(&:by_hand).map { |graded| graded.finding.code }, p: evaluation.graded.to_h { |graded| [graded.finding.code, graded.probability] } }
      end

      def findings(evaluation) = evaluation.findings.to_h { |finding| [finding.code, [finding.value, finding.band]] }

      # The joint's place, with the body's SD alone and with the taped constants', and P(|e| <= 15), P(|e| <= 30).
      def joint(evaluation)
        return {} unless evaluation.quantities.key?(:knee_s_mm)

        { k_s: evaluation.quantities[:knee_s_mm], k_n: evaluation.quantities[:knee_n_mm],
          sd_k_s_body: evaluation.body_sd(:knee_s_mm), sd_k_n_body: evaluation.body_sd(:knee_n_mm),
          sd_k_s: evaluation.sds[:knee_s_mm], sd_k_n: evaluation.sds[:knee_n_mm], cov: evaluation.joint_covariance,
          p_in_line: evaluation.joint_probability(15), p_close_or_better: evaluation.joint_probability(30) }
      end

      def advice(advice)
        { marks: advice.marks, status: advice.status, **evaluation(advice.evaluation), joint: joint(advice.evaluation),
          cushion_back: advice.wishes.cushion_back_mm, cushion_seat: advice.wishes.cushion_seat_mm, without: advice.grade_without_cushions,
          adjusters: advice.adjusters.map { |adjuster| adjuster(adjuster) }, runner_up: advice.runner_up && outcome(advice.runner_up),
          steps: Fitting::Neighbours.steps(advice.evaluation).transform_values { |pair| pair.map { |one| one && outcome(one) } },
          shortfalls: advice.shortfalls.map(&:to_h), from: advice.taken,
          next_reading: advice.next_readings.map { |offer| { name: offer.observation, before: offer.variance_before_mm2, after: offer.variance_after_mm2 } } }
      end

      # Each exercise's advice with the shared marks, and what it would be alone.
      def station(advice)
        each = advice.exercises.to_h do |name, one|
          [name, advice(one).merge(alone: advice.alone[name].marks, grade_alone: advice.alone[name].evaluation.grade)]
        end
        each.merge(cushion_back: advice.cushion_back_mm, cushion_seat: advice.cushion_seat_mm)
      end

      def outcome(evaluation) = { marks: evaluation.marks, grade: evaluation.grade, findings: findings(evaluation) }

      def adjuster(adjuster)
        requirement = adjuster.requirement
        { label: adjuster.label, mark: adjuster.mark, p: adjuster.probability, also: adjuster.also, too_far: adjuster.too_far, missing: adjuster.missing,
          decided_by: requirement&.decided_by, required: requirement&.mean, required_sd: requirement&.sd }
      end
    end
  end
end
