# frozen_string_literal: true

require "date"

module Verglas
  module Application
    # Cautions are asked about, all of them, before the first machine and again after a time that the gym sets: an
    # unanswered one bars.
    class Asking
      NOT_ASKED = "not_asked"

      def initialize(gym, client, by: nil)
        @gym = gym
        @client = client
        @by = by
      end

      # The day; nil where nobody has asked. Whether it is time again.
      def on = @client[:cautions_asked_on]
      def due?(today = Date.today) = on.nil? || on >> @gym.row[:ask_again_months] <= today

      # seen: names of those that were answered with yes; none: that none was. Raises Invalid where nothing was
      # answered, Stale over another version.
      def answered(seen, none:, version:, today: Date.today)
        raise Invalid.new(:nothing_answered, path: "/none") if seen.empty? == !none

        seen.each { |name| Guidance::Cautions.fetch(name) }
        @gym.clients.asked(@client[:id], on: today, version: version)
        standing = @gym.cautions.of(@client[:id]).to_h { |row| [row[:caution], row] }
        (seen - standing.keys).each { |name| @gym.cautions.put(@client[:id], name, version: nil, by: @by, note: "") }
        open = standing[NOT_ASKED]
        return unless open
        @gym.cautions.remove(
          @client[:id],
          NOT_ASKED,
          version: open[:version],
          by: @by,
          reason: Formats::Words.say("cautions.asked_since")
        )
      end
    end
  end
end
