# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Which clients have these letters in some part of their name, accents and case aside? Names in which a word starts
      # with them come first; from the trigram index, which a blank before the letters makes useful for as few as two.
      class SearchClients
        LIMIT = 50

        def initialize(gym)
          @gym = gym
        end

        # text: as typed; fewer than two letters list everybody by name. after: [name, detail, id] of the last row of a page.
        def call(text, limit: LIMIT, after: nil)
          wanted = text.strip
          return page(rows, limit, after) if wanted.length < 2

          starts = page(rows.where(starting(wanted)), limit, nil)
          return starts if starts.size == limit

          starts + page(rows.where(containing(wanted)).exclude(starting(wanted)), limit - starts.size, nil)
        end

        private

        def rows = @gym.clients.dataset.select(:id, :name, :detail, :sex, :version, :updated_at)

        def page(dataset, limit, after)
          dataset = dataset.where(Sequel.lit("(name, detail, id) > (?, ?, ?)", *after)) if after
          dataset.order(:name, :detail, :id).limit(limit).all
        end

        def containing(text) = like("%", text)
        def starting(text) = Sequel.|(like("", text), like("% ", text), like("%-", text), like("%'", text))

        def like(before, text)
          pattern = Sequel.join([before, Sequel.function(:folded, @gym.clients.dataset.escape_like(text)), "%"])
          Sequel.lit("folded_name LIKE ?", pattern)
        end
      end
    end
  end
end
