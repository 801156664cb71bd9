# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A graded number with its words and, where it is not in line, the one step that helps it most.
      module Finding
        # Below this an offset has no direction worth telling.
        ON_THE_PIVOT_MM = 2
        # Below this a start is just short of straight.
        JUST_SHORT_DEG = 15
        # Above this a roller is not just above the ankle.
        JUST_ABOVE_ANKLE_MM = 80

        module_function

        # steps: Evaluations one mark away, by [adjuster, mark].
        def of(graded, evaluation, steps)
          finding = graded.finding
          { code: finding.code, title: words("findings.#{finding.code}.title"), value: finding.value, unit: unit(finding),
            band: finding.band, severity: finding.severity, probability: graded.probability, likely: graded.likely?, by_hand: graded.by_hand,
            interval: interval(finding, evaluation), says: graded.by_hand ? words("says.thigh_press.by_hand") : says(finding, evaluation),
            move: graded.by_hand ? nil : move(finding, evaluation, steps) }
        end

        # evaluation: for where the joint is, and which way its frame points.
        def says(finding, evaluation)
          case finding.code
          when :offset then knee(evaluation.mechanics.joint(evaluation.parameters), evaluation)
          when :crease_gap then gap(finding)
          when :contact then contact(finding, evaluation)
          when :start then start(finding, evaluation)
          when :end then ending(finding)
          when :kneecap_gap then kneecap_gap(finding)
          when :thigh_press then thigh_press(finding)
          when :kneecap_clear then kneecap_clear(finding)
          end
        end

        # A few words for a step's button: what it would show.
        def short(decided_by, evaluation)
          quantities = evaluation.quantities
          case decided_by
          when :pivot, :height then words("short.offset", mm: quantities[:offset_mm].round,
                                                          direction: words("short.direction.#{directions(evaluation, *quantities.values_at(:knee_s_mm, :knee_n_mm)).first}"))
          when :crease then gap_short(quantities[:crease_gap_mm])
          when :contact then words("short.contact", mm: quantities[:above_ankle_mm].round)
          when :start then bend_short(evaluation, :start)
          when :end then bend_short(evaluation, :end)
          when :thigh_press then press_short(quantities[:thigh_press_mm])
          when :bench_end then words("short.bench_end", mm: quantities[:kneecap_clear_mm].round)
          when :hips then words("short.hips", deg: quantities[:hip_bend_deg].round)
          when :kneecap then words("short.kneecap", mm: quantities[:kneecap_gap_mm].round)
          else ""
          end
        end

        # Where a knee lies from the pivot, in words. knee: Point; evaluation: for which way its frame points.
        def knee(knee, evaluation)
          return words("says.offset.centred") if knee.norm < ON_THE_PIVOT_MM

          one, other = directions(evaluation, knee.s, knee.n).map { |direction| words("says.direction.#{direction}") }
          direction = other ? words("says.direction.both", one: one, other: other) : one
          words("says.offset.off_by", mm: knee.norm.round, direction: direction)
        end

        # The larger component first; the smaller only where it matters.
        def directions(evaluation, s, n)
          up = evaluation.mechanics.class::UP
          along = up.positive? ? %i[ahead behind] : %i[past short_of]
          named = [[s.abs, s.positive? ? along.first : along.last], [n.abs, (n * up).positive? ? :above : :below]].sort_by { |size, _| -size }
          named[1][0] > 0.5 * named[0][0] ? named.map(&:last) : [named[0][1]]
        end

        def gap(finding)
          return words("says.crease_gap.snug") if finding.severity.zero? && finding.value <= 15

          finding.value.negative? ? words("says.crease_gap.pinch", mm: finding.value.abs.round) : words("says.crease_gap.gap", mm: finding.value.round)
        end

        def gap_short(gap) = words(gap.negative? ? "short.crease_gap.pinch" : "short.crease_gap.gap", mm: gap.abs.round)

        # Where a limit is passed, by how little is seen.
        def bend_short(evaluation, code)
          bend = evaluation.quantities[evaluation.mechanics.class::GRADED_QUANTITY.fetch(code)]
          past = evaluation.findings.any? { |finding| finding.code == code && finding.fault }
          words("short.#{code}", deg: past ? bend.round(1).to_s.sub("-", "−") : signed(bend))
        end

        def signed(number) = number.round.to_s.sub("-", "−")
        def press_short(press) = words(press.negative? ? "short.thigh_clear" : "short.thigh_press", mm: press.abs.round)

        def contact(finding, evaluation)
          return words("says.contact.#{finding.fault}#{"_below" if finding.value.negative?}", above: finding.value.abs.round) if finding.fault
          return words("says.contact.#{contact_place(evaluation)}") if finding.severity.zero?

          words(finding.graded.negative? ? "says.contact.low" : "says.contact.high", mm: finding.graded.abs.round)
        end

        def start(finding, evaluation)
          return words("says.start.#{forced(finding, evaluation)}") if finding.fault
          return words("says.start.#{start_as(evaluation.mechanics.start_target_deg)}", deg: finding.value.round) if finding.severity.zero?

          words(finding.graded.positive? ? "says.start.deep" : "says.start.shallow", deg: finding.graded.abs.round)
        end

        # Behind the leg the roller lies on the tendon, or higher up; in front of it on the shin.
        def contact_place(evaluation)
          high = evaluation.wishes.contact_above_ankle_mm > JUST_ABOVE_ANKLE_MM
          return high ? :right_behind_high : :right_behind if evaluation.machine.family.side.negative?

          high ? :right_high : :right
        end

        # A movement that straightens is forced at its end, one that bends at its start.
        def forced(finding, evaluation)
          finding.fault == :forced_straight && evaluation.machine.family.straight[:at] == :end ? :forced_straight_at_end : finding.fault
        end

        # What a target is called on the floor.
        def start_as(target_deg)
          return :right if target_deg.between?(85, 95)

          target_deg < JUST_SHORT_DEG ? :as_wanted : :at
        end

        def ending(finding)
          return words("says.end.#{finding.fault}") if finding.fault
          return words("says.end.right") if finding.severity.zero?

          words(finding.graded.positive? ? "says.end.deep" : "says.end.shallow", deg: finding.graded.abs.round)
        end

        def kneecap_gap(finding)
          return words("says.kneecap_gap.on_the_kneecap") if finding.fault
          return words("says.kneecap_gap.right") if finding.severity.zero?

          words(finding.value < 35 ? "says.kneecap_gap.near" : "says.kneecap_gap.far", mm: finding.value.round)
        end

        def thigh_press(finding)
          return words("says.thigh_press.right") if finding.severity.zero?

          words(finding.value.negative? ? "says.thigh_press.loose" : "says.thigh_press.hard", mm: finding.value.abs.round)
        end

        def kneecap_clear(finding)
          return words("says.kneecap_clear.right") if finding.severity.zero?

          target = Verglas::Fitting::KneeOnPivot::BANDS[:kneecap_clear].target
          words(finding.value < target ? "says.kneecap_clear.under" : "says.kneecap_clear.beyond", mm: (finding.value - target).abs.round)
        end

        def interval(finding, evaluation)
          low, high = evaluation.interval(evaluation.mechanics.class::GRADED_QUANTITY.fetch(finding.code))
          finding.code == :offset ? [[low, 0.0].max, high] : [low, high]
        end

        # Only a step that makes the whole better is offered.
        def move(finding, evaluation, steps)
          return if finding.severity.zero?

          helping = steps.select { |_, other| other.score < evaluation.score && helps?(finding, other) }
          return if helping.empty?

          (adjuster, mark), other = helping.min_by { |_, candidate| candidate.score }
          after = other.findings.find { |candidate| candidate.code == finding.code }
          { adjuster: adjuster, mark: mark, says: words("says.move", adjuster: Formats::Words.adjuster(adjuster), mark: mark, result: lower(says(after, other))) }
        end

        def helps?(finding, other)
          after = other.findings.find { |candidate| candidate.code == finding.code }
          ([after.severity, after.cost] <=> [finding.severity, finding.cost]).negative?
        end

        def unit(finding) = Verglas::Fitting::KneeOnPivot::BANDS[finding.code].unit
        def lower(sentence) = sentence.sub(/\A\p{Upper}/, &:downcase)
        def words(key, **params) = Formats::Words.say(key, **params)
      end
    end
  end
end
