# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's cautions: what they are, who cleared them, what they do.
      module Cautions
        module_function

        def page(gym, client)
          { client: Client.summary(client), cautions: gym.cautions.of(client[:id]).map { |row| one(row) }, removed: gym.cautions.removed(client[:id]).map { |row| removed(row) },
            kinds: kinds }
        end

        # With its note: for the page where it is written.
        def one(row)
          { **line(row), since: row[:since]&.iso8601, note: Store::Secrets.open(row[:note_cipher], :caution), version: row[:version], by: row[:by_name] }
        end

        # Taken out: by whom, when and why.
        def removed(row)
          { **line(row), version: row[:version], removed_by: row[:removed_by_name], removed_at: Views.time(row[:removed_at]), reason: Store::Secrets.open(row[:removal_cipher], :caution_removal) }
        end

        # Without its note: for card and bench. What it does, and whose word it defers to.
        def line(row)
          { name: row[:caution], title: words(row[:caution], :title), does: words(row[:caution], :does), side: row[:side], cleared: !row[:cleared_on].nil?,
            cleared_by: row[:cleared_by], cleared_on: row[:cleared_on]&.iso8601, **%i[bend_from_deg bend_to_deg load_to_kg].to_h { |name| [name, row[name]&.to_f] } }
        end

        # Every caution, and whether the gym is stricter with it.
        def of_gym(gym)
          stricter = gym.cautions.stricter
          kinds.map { |kind| kind.merge(stricter: stricter.include?(kind[:name].to_s)) }
        end

        def kinds
          Verglas::Fitting::Cautions::RULES.each_value.map { |rule| { name: rule.name, title: words(rule.name, :title), does: words(rule.name, :does), sided: rule.sided } }
        end

        # On a bench: what bars the machine, and what is narrowed.
        def on_bench(bench)
          family = bench.machine.family
          { cautions: bench.safety.rows.map { |row| line(row) }, bars: bench.bars.map { |code, params| bar(code, params, family) }, narrowed: narrowed(bench.narrowing) }
        end

        # The table's bar, or the gym's own, which is stricter.
        def bar(code, params, family)
          return Formats::Words.say("barred.#{code}", **params) if code.to_s.start_with?("maker_")

          rule = Verglas::Fitting::Cautions::RULES.fetch(code)
          lifted = rule.bars?(family) ? rule.lifted : :by_the_gym
          Formats::Words.say("barred.#{lifted}", caution: words(code, :title))
        end

        def narrowed(wishes)
          return if wishes.empty?

          wishes.map { |name, value| Formats::Words.say("narrowed.#{name}", value: value.round) }.join(", ").sub(/\A./, &:upcase)
        end

        def words(name, part) = Formats::Words.say("cautions.#{name}.#{part}")
        private_class_method :kinds, :removed, :bar, :narrowed, :words
      end
    end
  end
end
