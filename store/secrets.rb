# frozen_string_literal: true

require "openssl"
require "sequel"
require "sequel/plugins/column_encryption"

module Verglas
  module Store
    # Text that lies encrypted in the database (AES-256-GCM, by Sequel's own cryptor), under the newest of Keys.
    module Secrets
      # Lengths are rounded up, so that a caution is not told by how long its name is.
      PADDING = 16
      LOCK = Mutex.new

      module_function

      # purpose: what the text belongs to, so that one moved to another column cannot be read there.
      def lock(text, purpose) = text.empty? ? nil : cryptor(purpose).encrypt(text)

      # A key that was added since is looked for once.
      def open(cipher, purpose)
        return "" unless cipher

        begin
          cryptor(purpose).decrypt(cipher)
        rescue Sequel::Error
          forget_keys
          cryptor(purpose).decrypt(cipher)
        end.force_encoding(Encoding::UTF_8)
      end

      # For a question of equality: under the current key, or under every one that may still be in use.
      def digest(text, purpose) = digests(text, purpose).first
      def digests(text, purpose) = keys.digests(text, purpose)

      # How a text begins that lies under the current key.
      def current_prefix = cryptor(:any).current_key_prefix(0)

      # The keys are read anew at the next question.
      def forget_keys = LOCK.synchronize { @keys = @cryptors = nil }

      def keys = LOCK.synchronize { @keys ||= Keys.read }

      def cryptor(purpose)
        found = keys
        LOCK.synchronize do
          (@cryptors ||= {})[purpose] ||= Sequel::Plugins::ColumnEncryption::Cryptor.new(
            found.for_cryptor(purpose, PADDING)
          )
        end
      end
      private_class_method :cryptor
    end
  end
end
