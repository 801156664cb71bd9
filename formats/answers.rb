# frozen_string_literal: true

module Verglas
  module Formats
    # Core values as the plain data of the command-line door's answers.
    module Answers
      # The document's short names for the core's quantities.
      QUANTITIES = {
        knee_s_mm: :k_s,
        knee_n_mm: :k_n,
        offset_mm: :offset,
        thigh_slope_deg: :thigh_slope,
        clearance_mm: :D,
        contact_start_mm: :q_start,
        contact_middle_mm: :q_mid,
        contact_end_mm: :q_end,
        creep_mm: :creep,
        torque_ratio_start: :ratio_start,
        torque_ratio_middle: :ratio_mid,
        torque_ratio_end: :ratio_end,
        shin_start_deg: :phi_start,
        shin_end_deg: :phi_end,
        knee_bend_start_deg: :knee_bend_start,
        knee_bend_end_deg: :knee_bend_end,
        above_ankle_mm: :above_ankle,
        contact_error_mm: :contact_error,
        force_per_torque_n_per_nm: :force_per_torque,
        crease_gap_mm: :crease_gap,
        kneecap_gap_mm: :kneecap_gap,
        thigh_press_mm: :thigh_press,
        kneecap_clear_mm: :kneecap_clear,
        end_target_deg: :end_target,
        end_arm_deg: :end_arm,
        end_missing_deg: :end_missing,
        hip_bend_deg: :hip_bend,
        low_mm: :low,
        high_mm: :high,
        slack_mm: :slack,
        clears_mm: :clears,
        heel_drop_deg: :heel_drop,
        x_mm: :X,
        distance_mm: :d,
        knee_bend_deg: :knee_bend,
        thigh_deg: :thigh_dir,
        ankle_bend_deg: :ankle_bend,
        past_toes_mm: :past_toes,
        knee_lever_mm: :knee_lever,
        hip_lever_mm: :hip_lever,
        force_n: :F,
        knee_torque_nm: :knee_torque,
        hip_torque_nm: :hip_torque,
        hip_x_mm: :hip_x_from_corner,
        hip_y_mm: :hip_y_from_corner,
        low_heel_mm: :lo,
        high_heel_mm: :hi,
        foot_mm: :f,
        deficit_deg: :deficit,
        depth_deg: :depth,
        max_bend_deg: :max_bend,
        x_bottom_mm: :X_bottom,
        reach_mm: :reach,
        shortfall_mm: :shortfall,
        block_mm: :block,
        ring_mm: :ring,
        drop_mm: :drop,
        mat_mm: :mat,
        link: :links,
        fewest_links: :m_min,
        most_links: :m_max,
        lift_mm: :lift,
        bottom_room_mm: :bottom_room,
        range_left_deg: :range_left,
        clip_squat_mm: :clip_squat,
        lean_deg: :lean,
        missing_mm: :missing,
        hip_crease_mm: :hip_crease,
        gap_mm: :gap,
        knee_over_pad_mm: :knee_over_pad,
        hip_s_mm: :e_s,
        hip_n_mm: :e_n,
        thigh_start_deg: :phi_start,
        thigh_end_deg: :phi_end
      }.freeze

      module_function

      # posing: {bend_deg:, load_kg:} of a leg on a plate to be told besides; nil for none.
      def evaluation(evaluation, posing = nil)
        {
          grade: evaluation.grade,
          findings: findings(evaluation),
          quantities: evaluation.quantities.transform_keys(QUANTITIES),
          sd: evaluation.sds.transform_keys(QUANTITIES),
          interval: evaluation.intervals.transform_keys(QUANTITIES),
          **headline(evaluation),
          by_hand: evaluation.told.select(&:by_hand).map { |graded| graded.finding.code },
          p: evaluation.told.to_h { |graded| [graded.finding.code, graded.probability] },
          **(posing ? short(headline_of(evaluation).posed(**posing)) : {})
        }
      end

      # What a mechanism tells at the top: its own numbers, and the mark where one adjuster decides.
      def headline(evaluation)
        told = headline_of(evaluation).report
        told.empty? ? {} : { **mark(evaluation), **short(told) }
      end

      # The Headline of its mechanism; one that tells nothing where that has none of its own.
      def headline_of(evaluation)
        name = evaluation.mechanics.class.name[/\w+\z/]
        (const_defined?(name, false) ? const_get(name) : Headline).new(evaluation.mechanics, evaluation.place)
      end

      # With the document's names, all the way down.
      def short(told)
        told.to_h { |name, value| [QUANTITIES.fetch(name, name), value.is_a?(Hash) ? short(value) : value] }
      end

      # Of the one adjuster that is advised, or of that which the mechanism names; nil where none of its marks fits.
      def mark(evaluation)
        machine = evaluation.machine
        named = headline_of(evaluation).decides_alone
        places =
          machine.adjusters.each_index.select do |place|
            machine.deciding(machine.adjusters[place]).then { |decision| named ? decision == named : decision }
          end
        return {} unless places.one?

        index = evaluation.findings.any?(&:fault) ? nil : evaluation.indices[places.first]
        { mark: index && machine.adjusters[places.first].marks[index], index: index }
      end

      def findings(evaluation)
        evaluation.told.to_h { |graded| [graded.finding.code, [graded.finding.value, graded.finding.band]] }
      end

      # The joint's place, with the body's SD alone and with the taped constants', and P(|e| <= 15), P(|e| <= 30).
      def joint(evaluation)
        kind = evaluation.machine.family.findings.each_value.find(&:plane?)
        return {} unless kind

        s, n = kind.plane
        {
          k_s: evaluation.quantities[s],
          k_n: evaluation.quantities[n],
          sd_k_s_body: evaluation.body_sd(s),
          sd_k_n_body: evaluation.body_sd(n),
          sd_k_s: evaluation.sd(s),
          sd_k_n: evaluation.sd(n),
          cov: evaluation.covariance_of(kind.code)[0][1],
          p_in_line: evaluation.plane_probability(kind.code, kind.band.in_line.max),
          p_close_or_better: evaluation.plane_probability(kind.code, kind.band.close.max)
        }
      end

      def advice(advice, posing = nil)
        {
          marks: advice.marks,
          status: advice.status,
          **evaluation(advice.evaluation, posing),
          joint: joint(advice.evaluation),
          **chosen(advice.wishes.values),
          without: advice.grade_without_cushions,
          adjusters: advice.adjusters.map { |adjuster| adjuster(adjuster) },
          runner_up: advice.runner_up && outcome(advice.runner_up),
          steps:
            Fitting::Neighbours
              .steps(advice.evaluation)
              .transform_values { |pair| pair.map { |one| one && outcome(one) } },
          shortfalls: advice.shortfalls.map(&:to_h),
          from: advice.taken,
          next_reading:
            advice.next_readings.map do |offer|
              { name: offer.observation, before: offer.variance_before_mm2, after: offer.variance_after_mm2 }
            end
        }
      end

      # Each exercise's advice with the shared marks, and what it would be alone.
      def station(advice)
        each =
          advice.exercises.to_h do |name, one|
            [name, advice(one).merge(alone: advice.alone[name].marks, grade_alone: advice.alone[name].evaluation.grade)]
          end
        each.merge(chosen(advice.chosen))
      end

      # The cushions that were added, mm.
      def chosen(values)
        { cushion_back: values.fetch(:cushion_back_mm, 0), cushion_seat: values.fetch(:cushion_seat_mm, 0) }
      end

      def outcome(evaluation) = { marks: evaluation.marks, grade: evaluation.grade, findings: findings(evaluation) }

      def adjuster(adjuster)
        requirement = adjuster.requirement
        {
          label: adjuster.label,
          mark: adjuster.mark,
          p: adjuster.probability,
          also: adjuster.also,
          too_far: adjuster.too_far,
          missing: adjuster.missing,
          decided_by: requirement&.decided_by,
          required: requirement&.mean,
          required_sd: requirement&.sd
        }
      end
    end
  end
end
