# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # A kind of table on its way in: what its rows would do (asked of the database as it stands, nothing written), and
      # doing it.
      class Sheet
        # Of numbers, as they are kept.
        PRECISION = 0.0005

        # gym, by: whose they become and who takes them in; staff without a word about who did something is them.
        def initialize(gym, by:)
          @gym = gym
          @by = by
        end

        # rows: [[line, values or Invalid]]. Answers Outcomes in their order.
        def check(rows)
          good = rows.reject { |_, values| values.is_a?(Invalid) }
          prepare(good.map(&:last))
          rows.map { |line, values| values.is_a?(Invalid) ? Outcome.refuse(line, values) : judged(line, values) }
        end

        # Whether a row that is refused may be left aside and the others taken.
        def apart? = true

        # What a row is known by within its file; nil where nothing tells it from another.
        def key(values) = values[:id]

        private

        # What the rows have to be held against, in a few statements.
        def prepare(values)
        end

        def judged(line, values)
          judge(line, values)
        rescue Invalid => e
          Outcome.refuse(line, e, values)
        end

        # The e-mail address of somebody who works here, as their id; whoever takes it in where none is named.
        def staff(email)
          return @by unless email

          (@staff ||= @gym.staff_ids).fetch(email.downcase) { raise Invalid.new(:staff_unknown, path: "") }
        end

        # Only what was said is held against what stands.
        def differs?(values, row) = values.any? { |name, value| !same?(value, row[name]) }
        def same?(said, kept)
          said.is_a?(Numeric) && kept.is_a?(Numeric) ? (said - kept).abs < PRECISION : said == kept
        end
      end
    end
  end
end
