# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # A graded number with its words and, where it is not in line, the one step that helps it most.
      module Finding
        module_function

        # steps: Evaluations one mark away, by [adjuster, mark].
        def of(graded, evaluation, steps)
          finding = graded.finding
          {
            code: finding.code,
            title: title(finding.code),
            value: shown(finding, evaluation),
            unit: evaluation.kind(finding.code).unit,
            band: finding.band,
            severity: finding.severity,
            probability: graded.probability,
            likely: graded.likely?,
            by_hand: graded.by_hand,
            graded: evaluation.mechanics.graded?(finding),
            interval: interval(finding, evaluation),
            says:
              graded.by_hand ? Formats::Words.of(evaluation.voice.by_hand(finding.code)) : says(finding, evaluation),
            move: graded.by_hand ? nil : move(finding, evaluation, steps)
          }
        end

        # The number that is told: of some findings another than the one that is graded, a bend in the whole degrees of
        # its sentence.
        def shown(finding, evaluation)
          kind = evaluation.kind(finding.code)
          return finding.value unless kind.shown

          told = evaluation.quantities[kind.shown]
          kind.unit == :deg ? Mechanisms.whole_deg(told) : told
        end

        def title(code) = Formats::Words.say("findings.#{code}.title")
        def says(finding, evaluation) = Formats::Words.of(evaluation.voice.tell(finding))

        # A few words for a step's button: what it would show.
        def short(decided_by, evaluation)
          says = decided_by && evaluation.voice.short(decided_by)
          says ? Formats::Words.of(says) : ""
        end

        # The one adjuster's mark, and what would be so there.
        def step(adjuster, mark, result)
          {
            adjuster: adjuster,
            mark: mark,
            says:
              Formats::Words.say(
                "says.move",
                adjuster: Formats::Words.adjuster(adjuster),
                mark: mark,
                result: lower(result)
              )
          }
        end

        # A distance from a place in a plane is never less than none.
        def interval(finding, evaluation)
          kind = evaluation.kind(finding.code)
          low, high = evaluation.interval(kind.shown || kind.graded)
          kind.plane? ? [[low, 0.0].max, high] : [low, high]
        end

        # Only a step that makes the whole better is offered.
        def move(finding, evaluation, steps)
          return if finding.severity.zero?

          helping =
            steps.select { |_, other| other.score < evaluation.score && helps?(finding, other) && acceptable?(other) }
          return if helping.empty?

          (adjuster, mark), other = helping.min_by { |_, candidate| candidate.score }
          step(adjuster, mark, says(other.finding(finding.code), other))
        end

        # Nothing is offered with which nothing is ever accepted.
        def acceptable?(other) = other.findings.none? { |found| other.kind(found.code).never.include?(found.fault) }

        def helps?(finding, other)
          after = other.finding(finding.code)
          !after.fault && ([after.severity, after.cost] <=> [finding.severity, finding.cost]).negative?
        end

        def lower(sentence) = sentence.sub(/\A\p{Upper}/, &:downcase)
        def amount(value, unit) = unit == :deg ? "#{value.round}°" : "#{value.round} mm"
      end
    end
  end
end
