# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What the bench shows for some marks: findings worst first, every number with its SD, what a step either way would do,
      # where each mark would put the knee, and the figure to scale.
      module Evaluation
        module_function

        def of(evaluation)
          steps = Verglas::Fitting::Neighbours.steps(evaluation)
          Views.rounded(
            marks: evaluation.marks, grade: evaluation.grade, likely: evaluation.likely?, findings: findings(evaluation, steps),
            quantities: evaluation.quantities, motion: motion(evaluation.quantities), joint: joint(evaluation), aids: aids(evaluation.wishes),
            steps: steps.to_h { |label, pair| [label, step_pair(evaluation, label, pair)] }, lens: lens(evaluation),
            figure: Verglas::Fitting::Figure.of(evaluation)
          )
        end

        def findings(evaluation, steps)
          by_mark = steps.flat_map { |label, pair| pair.compact.map { |other| [[label, other.marks[label]], other] } }.to_h
          evaluation.graded.each_with_index.sort_by { |graded, index| [-graded.finding.severity, index] }
                    .map { |graded, _| Finding.of(graded, evaluation, by_mark) }
        end

        # Cushions and pads in use.
        def aids(wishes) = Inputs::Aids.of(wishes.to_h)

        # nil where nothing is taped that says where the knee is.
        def joint(evaluation)
          return unless evaluation.quantities.key?(:knee_s_mm)

          { s_mm: evaluation.quantities[:knee_s_mm], n_mm: evaluation.quantities[:knee_n_mm], sd_s_mm: evaluation.sd(:knee_s_mm),
            sd_n_mm: evaluation.sd(:knee_n_mm), covariance_mm2: evaluation.joint_covariance,
            in_line_mm: bands.in_line.max, close_mm: bands.close.max }
        end

        def step_pair(evaluation, label, pair)
          decided_by = evaluation.mechanics.class.deciding(evaluation.machine, evaluation.machine.adjuster(label))
          %i[down up].zip(pair).to_h { |direction, other| [direction, other && step(label, other, decided_by)] }
        end

        def step(label, other, decided_by)
          { mark: other.marks[label], short: Finding.short(decided_by, other), severity: decided_by && severity(decided_by, other) }
        end

        # Of what is left to the hand nothing is claimed, unless something else is wrong there.
        def severity(decided_by, other)
          other.score.worst unless other.score.worst.zero? && other.by_hand.include?(decided_by)
        end

        def lens(evaluation)
          Verglas::Fitting::Neighbours.lens(evaluation).transform_values do |points|
            points.map { |mark, point| { mark: mark, s_mm: point.s, n_mm: point.n } }
          end
        end

        # nil where the arm is not taped.
        def motion(quantities)
          return unless quantities.key?(:creep_mm)

          { ending: ending(quantities), creep: creep(quantities[:creep_mm]),
            ratio: Formats::Words.say("motion.ratio", start: format("%.2f", quantities[:torque_ratio_start]), end: format("%.2f", quantities[:torque_ratio_end])) }
        end

        # Where the client turns back: the bend and the arm's angle there, and what the arc does not reach.
        def ending(quantities)
          target, arm, missing = quantities.values_at(:end_target_deg, :end_arm_deg, :end_missing_deg).map(&:round)
          Formats::Words.say(missing.positive? ? "motion.ends_before" : "motion.ends", target: target, arm: arm.to_s.sub("-", "−"), missing: missing)
        end

        # With its word. docs/model.md section 3.
        def creep(creep_mm)
          word = Verglas::Fitting::Creep.word(creep_mm)
          direction = creep_mm.negative? ? "up" : "down"
          Formats::Words.say(word == :none ? "motion.none" : "motion.#{word}_#{direction}", mm: creep_mm.abs.round)
        end

        def bands = Verglas::Fitting::KneeOnPivot::BANDS[:offset]
      end
    end
  end
end
