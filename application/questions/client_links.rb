# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # The links to a client's own card; offered: whether the gym has such pages.
      ClientLinks =
        Value.define(:links, :offered) do
          def self.of(gym, client_id) = new(links: gym.client_links.of(client_id), offered: gym.row[:own_pages])
        end
    end
  end
end
