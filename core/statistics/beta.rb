# frozen_string_literal: true

module Verglas
  module Statistics
    # How large a share is, after some successes among some trials, when before them every share was as likely: Beta(1 +
    # successes, 1 + failures).
    module Beta
      HALVINGS = 40
      # Of more trials nothing is learned that anybody could see.
      MOST = 400

      module_function

      # The share below which it lies with a probability.
      def quantile(probability, successes:, failures:)
        successes, failures = scaled(successes, failures)
        low = 0.0
        high = 1.0
        HALVINGS.times do
          middle = (low + high) / 2
          below(middle, successes, failures) < probability ? low = middle : high = middle
        end
        (low + high) / 2
      end

      # The probability that it lies below a share: that of at least successes + 1 of successes + failures + 1 draws.
      # Of the two tails the thinner is summed.
      def below(share, successes, failures)
        return 0.0 unless share.positive?
        return 1.0 unless share < 1

        past = share * (successes + failures + 2) > successes + 1
        past ? 1 - tail(1 - share, failures, successes) : tail(share, successes, failures)
      end

      # The same, summed from its thickest end where the share is at most (successes + 1) / (draws + 1).
      def tail(share, successes, failures)
        draws = successes + failures + 1
        odds = share / (1 - share)
        term =
          Math.exp(chosen(draws, successes + 1) + ((successes + 1) * Math.log(odds)) + (draws * Math.log(1 - share)))
        ((successes + 1)..draws).sum { |hits| term.tap { term *= odds * (draws - hits) / (hits + 1) } }
      end

      # ln of the number of ways.
      def chosen(draws, hits)
        Math.lgamma(draws + 1).first - Math.lgamma(hits + 1).first - Math.lgamma(draws - hits + 1).first
      end

      def scaled(successes, failures)
        all = successes + failures
        all > MOST ? [successes, failures].map { |count| (count * MOST / all.to_f).round } : [successes, failures]
      end
      private_class_method :below, :tail, :chosen, :scaled
    end
  end
end
