# frozen_string_literal: true

require "securerandom"
require_relative "prepared"

module Verglas
  module Ops
    # The file in which the keys of health lie (NOTES_KEY_FILE, or var/notes_key), and turning the demo's database, or
    # that of DATABASE_URL, to the newest of them.
    class Keys
      # folder: where the start command keeps what it makes.
      def initialize(environment = ENV, folder: File.expand_path("../var", __dir__))
        @environment = environment
        @folder = folder
      end

      def file = @environment["NOTES_KEY_FILE"].to_s[/.+/] || File.join(@folder, "notes_key")

      # The file, made with a first key where there is none.
      def kept = file.tap { |name| File.write(name, SecureRandom.hex(32), perm: 0o600) unless File.exist?(name) }

      # Names the file to whoever reads the keys, unless they stand in the environment: made with a first key only where
      # nothing lies encrypted yet. Raises Store::KeyCheck::Failure where something does that cannot be opened.
      def ready(database)
        check = Store::KeyCheck.new(database)
        return check.call if @environment["NOTES_KEY"]

        sealed = database.table_exists?(:clients) && check.sealed
        @environment["NOTES_KEY_FILE"] = sealed ? file : kept
        check.call if sealed
      end

      # Puts a new key before the others, under the next free id; answers the id. The file is replaced whole or not at
      # all.
      def make
        if @environment["NOTES_KEY"]
          raise ArgumentError, "NOTES_KEY is set in the environment: put the new key before it there, as id:digits"
        end

        lines = File.readlines(file, chomp: true).flat_map(&:split)
        ids = lines.map { |line| line[/\A(\d+):/, 1].to_i }
        id =
          ((1..255).to_a - ids).first ||
            raise(ArgumentError, "all 255 ids are in use: take keys out that nothing lies under any more")
        replace(["#{id}:#{SecureRandom.hex(32)}", *lines].join("\n"))
        id
      end

      # Yields a line of progress from time to time; answers whether everything lies under the newest key.
      def turn
        Prepared.with(self, @environment, folder: @folder) do
          rekeying = Store::Rekeying.new(DB)
          turned = rekeying.call { |now| yield "#{now[:table]}: #{now[:done]} of #{now[:of]}" }
          left = rekeying.left
          yield(
            (
              if left.zero?
                "Everything lies under the newest key (#{turned} rows turned). Older keys may go after a day."
              else
                "#{left} rows were in use: run it again."
              end
            )
          )
          left.zero?
        end
      end

      private

      def replace(text)
        whole = "#{file}.new"
        File.write(whole, "#{text}\n", perm: 0o600)
        File.rename(whole, file)
      end
    end
  end
end
