# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # The one move that everything which was seen on a bench speaks for, in the floor's words: what it would do, how
      # sure, and what else it changes.
      module NextMove
        # From which probability what is said of it.
        SURE = [[0.9, :almost_certain], [0.7, :very_likely], [0.5, :likely], [0.0, :doubtful]].freeze

        module_function

        # found: Application::Watched::Next; nil where nothing was watched.
        def of(found)
          return unless found

          {
            sign: found.sign,
            **(found.move ? moving(found) : staying(found)),
            now: found.now.round(3),
            then: found.after&.round(3),
            unexplained: found.unexplained
          }
        end

        def moving(found)
          main, *others = changed(found)
          step = { adjuster: found.move.adjuster, mark: found.moved.marks[found.move.adjuster] }
          {
            move: step,
            says: main ? Told::Finding.step(*step.values, told(main, found.moved))[:says] : words(:better),
            sure: sure(found.after, found.moved, :moved),
            also: others.map { |one| told(one, found.moved) }
          }
        end

        # Unless something is unexplained, which leads on by itself.
        def staying(found)
          return { move: nil, says: "", sure: "", also: [] } if found.unexplained.any?
          return { move: nil, says: words(:again), sure: "", also: [] } if found.waits

          seen = !found.sign.nil?
          {
            move: nil,
            says: words(seen ? :look_on : :stays),
            sure: seen ? "" : sure(found.now, found.evaluation, :now),
            also: []
          }
        end

        # Of a machine that fits no joint to a place nothing is said.
        def sure(probability, evaluation, at)
          return "" unless evaluation.plane

          words(:"#{at}.#{SURE.find { |from, _| probability >= from }.last}")
        end

        # Findings as they would then be, those first that change the most for the better.
        def changed(found)
          before = found.evaluation.findings.to_h { |one| [one.code, one] }
          after = found.moved.findings.reject { |one| found.moved.by_hand.include?(one.code) }
          changes = after.to_h { |one| [one, weight(before[one.code], one, found.moved)] }
          main = changes.max_by(&:last)&.first
          [main, *changes.keys.reject { |one| one == main || one.severity == before[one.code]&.severity }].compact
        end

        # The joint first, where it comes nearer.
        def weight(one, other, moved)
          return 0, 0, 0 unless one

          nearer = moved.kind(other.code).plane? && other.cost < one.cost
          [nearer ? 1 : 0, one.severity - other.severity, one.cost - other.cost]
        end
        def told(finding, evaluation) = Told::Finding.says(finding, evaluation)
        def words(key) = Formats::Words.say("next_move.#{key}")
        private_class_method :moving, :staying, :sure, :changed, :weight, :told, :words
      end
    end
  end
end
