# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Which clients have these letters in some part of their name, accents and case aside? Names in which a word
      # starts with them come first; from the trigram index, which a blank before the letters makes useful for as few as
      # two.
      class SearchClients
        LIMIT = 50

        def initialize(gym)
          @gym = gym
        end

        # text: as typed; fewer than two letters list everybody by name who is not put away. after: [search_name, id] of
        # the last row of a page.
        def call(text, limit: LIMIT, after: nil)
          wanted = text.strip
          return page(rows.where(away_since: nil), limit, after) if wanted.length < 2

          starts = page(matching(starting(wanted)), limit, nil)
          return starts if starts.size == limit

          starts + page(matching(containing(wanted)).exclude(starting(wanted)), limit - starts.size, nil)
        end

        private

        def rows = @gym.clients.dataset.select(:id, :search_name, :name, :detail_cipher, :sex, :version, :updated_at)

        # First the matches, then their order: left to itself, the planner walks everybody in order, hoping to stop
        # early.
        def matching(condition) = @gym.db[:matching].with(:matching, rows.where(condition), materialized: true)

        def page(dataset, limit, after)
          dataset = dataset.where(Sequel.lit("(search_name, id) > (?, ?)", *after)) if after
          Sealed.open_all(:clients, dataset.order(:search_name, :id).limit(limit).all)
        end

        def containing(text) = like("%", text)

        # search_name begins with a blank, so every word has one before it.
        def starting(text) = like("% ", text)

        def like(before, text)
          Sequel.lit(
            "search_name LIKE ?",
            Sequel.join([before, Sequel.function(:folded, @gym.clients.dataset.escape_like(text)), "%"])
          )
        end
      end
    end
  end
end
