# frozen_string_literal: true

require "base64"

module Verglas
  module Store
    # Whether what lies encrypted can be read with the keys that are here: asked before the server answers anybody, so
    # that nothing new is written under another key while the old things cannot be opened.
    class KeyCheck
      # Told to whoever starts it: which key is missing and what to do. It never repeats a key.
      class Failure < ArgumentError
      end

      # How a text begins that lies under a key: two bytes of how it was encrypted, one of the key's id (Sequel's column
      # encryption).
      HEAD = 4
      PLAIN = "\0\0".b.freeze
      DO =
        "Put the key back, as NOTES_KEY or in the file that NOTES_KEY_FILE names (docs/security.md). Nothing was " \
          "changed."

      def self.prefix(id) = Base64.urlsafe_encode64(PLAIN + id.chr.b)
      def self.id_of(cipher) = Base64.urlsafe_decode64(cipher[0, HEAD]).getbyte(2)

      def initialize(db)
        @db = db
      end

      # The first thing that lies encrypted, [cipher, purpose]; nil where nothing does.
      def sealed = first { |column| Sequel.~(column => nil) }

      # Raises Failure; also where the keys are none, and nothing lies under any yet.
      def call
        under, = sealed
        known = keys(under)
        return unless under

        strange, = first { |column| Sequel.~(column => nil) & Sequel.~(under_any(column, known)) }
        raise Failure, missing(strange) if strange

        known.each { |id| try(id) }
      end

      private

      # Ids. What is said of a key that is none never repeats it, and what the system says is of the file.
      def keys(under)
        Secrets.forget_keys
        Secrets.keys.by_id.keys
      rescue ArgumentError, KeyError, SystemCallError => e
        raise Failure,
              [
                "The key of health cannot be read: #{e.is_a?(KeyError) ? "NOTES_KEY is not set" : e.message}.",
                *(under ? missing(under) : DO)
              ].join(" ")
      end

      def missing(cipher)
        "Health lies encrypted under the key with the id #{self.class.id_of(cipher)}, and that key is not here. #{DO}"
      end

      # One of each key: a key with the right id may still be another one.
      def try(id)
        cipher, purpose = first { |column| under_any(column, [id]) }
        cipher && Secrets.open(cipher, purpose)
      rescue Sequel::Error
        raise Failure, "The key of health with the id #{id} is not the one under which things lie encrypted here. #{DO}"
      end

      def under_any(column, ids)
        ids.map { |id| Sequel.like(column, "#{@db.dataset.escape_like(self.class.prefix(id))}%") }.inject(:|)
      end

      # [cipher, purpose] of the first column that a condition finds, a table after the other.
      def first
        Rekeying::TABLES
          .select { |table| @db.table_exists?(table.name) }
          .each do |table|
            table
              .ciphers
              .slice(*@db[table.name].columns)
              .each do |column, purpose|
                found = @db[table.name].where(yield(column)).get(column)
                return found, purpose if found
              end
          end
        nil
      end
    end
  end
end
