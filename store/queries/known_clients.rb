# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Which of the gym's clients are meant: by ids, or by what they are called.
      class KnownClients
        COLUMNS =
          %i[id name sex birth_date body_mass_kg version detail_cipher detail_digest]
            .map { |name| Sequel[:clients][name] }
            .freeze

        def initialize(gym)
          @gym = gym
        end

        # {id => row}
        def by_ids(ids)
          ids.empty? ? {} : opened(rows.where(Sequel[:clients][:id] => ids)).to_h { |row| [row[:id], row] }
        end

        # Those of these ids under which something stands that is no client of this gym: or one no more, for their
        # record was joined into another.
        def elsewhere(ids)
          ids.empty? ? [] : @gym.db[:clients].where(id: ids).exclude(gym_id: @gym.id, joined_into: nil).select_map(:id)
        end

        # {name as it was given => rows of that name}, accents and case aside.
        def by_names(names)
          return {} if names.empty?

          wanted =
            @gym
              .db
              .values(names.uniq.each_with_index.map { |name, number| [number, name] })
              .as(:wanted, %i[number wanted_name])
          called = Sequel.join([" ", Sequel.function(:folded, Sequel[:wanted][:wanted_name])])
          found = @gym.db.from(wanted).join(:clients, here.merge(Sequel[:clients][:search_name] => called))
          opened(found.select(*COLUMNS, Sequel[:wanted][:wanted_name])).group_by { |row| row[:wanted_name] }
        end

        private

        def here = { Sequel[:clients][:gym_id] => @gym.id, Sequel[:clients][:joined_into] => nil }
        def rows = @gym.clients.dataset.select(*COLUMNS)
        def opened(dataset) = Sealed.open_all(:clients, dataset.all)
      end
    end
  end
end
