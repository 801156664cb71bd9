# frozen_string_literal: true

require "sequel"
require "sequel/plugins/column_encryption"

module Verglas
  module Store
    # Text that lies encrypted in the database (AES-256-GCM, by Sequel's own cryptor). The key is NOTES_KEY: 64 hexadecimal
    # digits from the environment; bin/start makes one for the demo.
    module Secrets
      KEY_ID = 0
      PADDING = 16

      module_function

      # purpose: what the text belongs to, so that one moved to another column cannot be read there.
      def lock(text, purpose) = text.empty? ? nil : cryptor(purpose).encrypt(text)
      def open(cipher, purpose) = cipher ? cryptor(purpose).decrypt(cipher).force_encoding(Encoding::UTF_8) : ""

      def cryptor(purpose)
        @cryptors ||= {}
        @cryptors[purpose] ||= Sequel::Plugins::ColumnEncryption::Cryptor.new([[KEY_ID, key, purpose.to_s, PADDING]])
      end

      def key
        digits = ENV.fetch("NOTES_KEY")
        raise ArgumentError, "NOTES_KEY wants 64 hexadecimal digits" unless digits.match?(/\A\h{64}\z/)

        [digits].pack("H*")
      end
      private_class_method :cryptor, :key
    end
  end
end
