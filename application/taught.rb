# frozen_string_literal: true

module Verglas
  module Application
    # What an accepted fitting taught of the body, in sentences: the dimensions of which more is known than before it.
    module Taught
      # A dimension is told from this share of its SD on that went; the most that are told.
      LEAST_SHARE = 0.1
      MOST = 2

      module_function

      # before: the Meeting in which it was accepted. Where its machine could teach and nobody said that knee or roller
      # was seen, that.
      def of(before, row)
        return [] unless before.mechanics.teaches?

        known = known_better(*[before.estimation, after(before)].map(&:estimate))
        return known unless known.empty?

        row[:knee_off_mm].nil? && !row[:roller_seen] ? [Formats::Words.say("taught.not_seen")] : []
      end

      def after(before)
        ClientBody.estimation(
          before.client,
          before.readings,
          checked: CheckedFittings.of(Store::Queries::CheckedFittings.new(before.gym).call(before.client[:id]))
        )
      end

      def known_better(before, after)
        gone = before.sd.to_h { |name, sd| [name, sd.positive? ? 1 - (after.sd[name] / sd) : 0.0] }
        better = gone.select { |_, share| share >= LEAST_SHARE }.max_by(MOST) { |_, share| share }
        better.map { |name, _| words(name, before, after) }
      end

      def words(name, before, after)
        Formats::Words.say(
          "taught.dimension",
          dimension: Formats::Words.say("dimensions.#{name}"),
          mm: after.mean[name].round,
          sd: after.sd[name].round,
          was: before.sd[name].round
        )
      end
      private_class_method :after, :known_better, :words
    end
  end
end
