# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What the bench shows for some marks: findings worst first, every number, what a step either way would do, where
      # each mark would put the joint, and the picture to scale.
      module Evaluation
        module_function

        # without: names of choices that a caution forbids; tempo: at which it is moved, where that is told.
        def of(evaluation, without: [], tempo: nil, bands: {})
          steps = Verglas::Fitting::Neighbours.steps(evaluation)
          findings = findings(evaluation, steps)
          motion = motion(evaluation)
          Told.rounded(
            marks: evaluation.marks,
            grade: evaluation.grade,
            likely: evaluation.likely?,
            findings: findings,
            quantities: evaluation.quantities,
            motion: motion,
            aids: Aids.of(evaluation.wishes.values),
            steps: steps.to_h { |label, pair| [label, step_pair(evaluation, label, pair)] },
            targets: Target.all(evaluation)
          ).merge(
            placed: Placed.all(evaluation, without: without, bands: bands),
            scene: scene(evaluation),
            quickens: tempo && Tempo.quickens(evaluation, tempo),
            says: spoken(findings, motion, evaluation.picture.pictured_at)
          )
        end

        def scene(evaluation) = Scene.of(evaluation.picture.whole, ends: evaluation.voice.travel_words)

        def findings(evaluation, steps)
          by_mark =
            steps.flat_map { |label, pair| pair.compact.map { |other| [[label, other.marks[label]], other] } }.to_h
          evaluation
            .told
            .each_with_index
            .sort_by { |graded, index| [-graded.finding.severity, index] }
            .map { |graded, _| Finding.of(graded, evaluation, by_mark) }
        end

        # The picture in words, for who cannot see it. findings, motion: as they are told, or were; at: where of the
        # movement it is drawn.
        def spoken(findings, motion, at = :start)
          said = [*findings, motion.to_h].map { |one| one.transform_keys(&:to_sym) }
          [
            Formats::Words.say("picture.#{at}"),
            *said.map { |one| one[:says] },
            *said.last.values_at(:ending, :creep)
          ].compact.join(" ")
        end

        def step_pair(evaluation, label, pair)
          decided_by = evaluation.machine.deciding(evaluation.machine.adjuster(label))
          %i[down up].zip(pair).to_h { |direction, other| [direction, other && step(label, other, decided_by)] }
        end

        def step(label, other, decided_by)
          {
            mark: other.marks[label],
            short: Finding.short(decided_by, other),
            severity: decided_by && severity(decided_by, other)
          }
        end

        # Of what is left to the hand nothing is claimed, unless something else is wrong there.
        def severity(decided_by, other)
          other.score.worst unless other.score.worst.zero? && other.by_hand.include?(decided_by)
        end

        # What the movement does, in sentences; nil where nothing is told of it.
        def motion(evaluation) = evaluation.voice.motion&.transform_values { |says| Formats::Words.of(says) }
      end
    end
  end
end
