# frozen_string_literal: true

module Verglas
  module Store
    # The keys under which health lies encrypted, newest first: {id => 32 bytes}. Read from NOTES_KEY, or from the file
    # which NOTES_KEY_FILE names, so that they can be kept apart from the data. Each is "id:64 hexadecimal digits", one
    # a line (or with blanks or commas between); digits alone are the key 0. What is written is written under the first;
    # the others read what is older. docs/security.md
    class Keys
      FORM = /\A(?:(\d{1,3}):)?(\h{64})\z/

      attr_reader :by_id

      def self.read(environment = ENV)
        file = environment["NOTES_KEY_FILE"].to_s[/.+/]
        new(file ? File.read(file) : environment.fetch("NOTES_KEY"))
      end

      # Raises ArgumentError for what is no key; it never repeats it.
      def initialize(text)
        pairs = text.split(/[\s,]+/).reject(&:empty?).map { |entry| pair(entry) }
        @by_id = pairs.to_h
        return unless pairs.empty? || @by_id.size < pairs.size
        raise ArgumentError, "NOTES_KEY wants 64 hexadecimal digits, or several keys as id:digits with ids of their own"
      end

      def current = by_id.each_value.first

      # As Sequel's cryptor takes them. purpose: what a text belongs to.
      def for_cryptor(purpose, padding) = by_id.map { |id, key| [id, key, purpose.to_s, padding] }

      # A keyed digest of a text under each key, the current one first.
      def digests(text, purpose)
        by_id.each_value.map { |key| OpenSSL::HMAC.hexdigest("SHA256", key, "#{purpose}\0#{text}") }
      end

      private

      def pair(entry)
        id, digits = entry.match(FORM)&.captures
        unless digits && id.to_i <= 255
          raise ArgumentError,
                "NOTES_KEY wants 64 hexadecimal digits, or several keys as id:digits with ids from 0 to 255"
        end

        [id.to_i, [digits].pack("H*")]
      end
    end
  end
end
