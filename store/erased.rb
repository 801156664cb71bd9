# frozen_string_literal: true

require "fileutils"

module Verglas
  module Store
    # Who was erased, apart from the database: so that a backup which is older does not bring them back. A line a
    # person, a keyed digest of their number, from which nobody can be told.
    module Erased
      # The file's name stands in this variable, where the server keeps one.
      FILE = "ERASED_FILE"

      module_function

      # On the disk before it is answered.
      def note(ids, environment = ENV)
        file = environment[FILE] or return
        File.open(file, File::WRONLY | File::CREAT | File::APPEND, 0o600) do |io|
          ids.each { |id| io.puts(digest(id)) }
          io.fsync
        end
      end

      # Of these ids, those that were erased.
      def among(ids, environment = ENV)
        file = environment[FILE]
        return [] unless file && File.exist?(file)

        known = File.readlines(file, chomp: true).to_h { |line| [line, true] }
        ids.select { |id| Secrets.digests(id, :erased).any? { |digest| known.key?(digest) } }
      end

      def digest(id) = Secrets.digest(id, :erased)
      private_class_method :digest
    end
  end
end
