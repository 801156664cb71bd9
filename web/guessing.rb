# frozen_string_literal: true

module Verglas
  module Web
    # Slows down whoever guesses passwords, without a way for a stranger to keep somebody else out: tries are counted
    # for an account and the address they come from, and for an account from all devices on which it never signed in. A
    # try is counted before it is looked at, so that many at once are no way round; a right one is taken off again. An
    # e-mail that nobody has is counted like any other.
    class Guessing
      HERE = { most: 10, within_s: 15 * 60 }.freeze
      STRANGERS = { most: 60, within_s: 60 * 60 }.freeze
      # The password asked again of who is signed in, before a PIN is kept.
      AGAIN = { most: 5, within_s: 15 * 60 }.freeze

      # Links and codes, tried from one address.
      LINKS = { most: 20, within_s: 15 * 60 }.freeze

      def initialize(db)
        @counters = Store::Counters.new(db)
      end

      # Counts a try at signing in; answers the seconds to wait, nil when it may go on. familiar: the account signed in
      # on this device before.
      def sign_in(email, address:, familiar:)
        wait("here:#{email}:#{address}", **HERE) || (familiar ? nil : wait("strangers:#{email}", **STRANGERS))
      end

      # It was the right one.
      def signed_in(email, address:, familiar:)
        @counters.forget("here:#{email}:#{address}")
        @counters.add("strangers:#{email}", -1, within_s: STRANGERS[:within_s]) unless familiar
      end

      def link(address) = wait("link:#{address}", **LINKS)
      def right_link(address) = @counters.add("link:#{address}", -1, within_s: LINKS[:within_s])
      def again(account_id) = wait("again:#{account_id}", **AGAIN)
      def right_again(account_id) = @counters.forget("again:#{account_id}")

      private

      def wait(key, most:, within_s:)
        counted = @counters.add(key, within_s: within_s)
        counted[:seconds].clamp(1, within_s) if counted[:count] > most
      end
    end
  end
end
