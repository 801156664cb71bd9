# frozen_string_literal: true

require "date"

module Verglas
  module Application
    # What a client decided of what is kept of them: whether they agreed, in the gym's words of that day, whether their
    # fittings and sets teach machines and loads; and whether they are put away, because they left.
    class ClientChoices
      def initialize(gym, today: Date.today)
        @gym = gym
        @today = today
      end

      # Of a client's row, over the version which the writer saw; nil leaves a choice as it is. Whoever withdraws what
      # they agreed to teaches nothing any more. Raises Invalid where the gym has no words to agree to, or nobody agreed
      # who withdraws.
      def change(row, version:, consent: nil, teaches: nil, away: nil)
        fields = { teaches: teaches }.compact
        fields.merge!(consent ? consented : withdrawn(row)) unless consent.nil?
        fields[:away_since] = (row[:away_since] || @today if away) unless away.nil?
        @gym.clients.choose(row[:id], version: version, **fields)
      end

      private

      def consented
        words = @gym.row[:consent_text]
        raise Invalid.new(:no_consent_text, path: "/consent") if words.empty?

        { consented_on: @today, consent_text: words, consent_withdrawn_on: nil }
      end

      def withdrawn(row)
        raise Invalid.new(:not_consented, path: "/consent") if row[:consented_on].nil?

        { consent_withdrawn_on: @today, teaches: false }
      end
    end
  end
end
