# frozen_string_literal: true

require "fileutils"
require "json"
require_relative "sealed_file"

module Verglas
  module Ops
    # A backup as it lies on a disk: what it says of itself (when it was made, of which schema, a digest a table) in its
    # first line, and the dump behind it; all of it sealed.
    class BackupFile
      # key: 32 bytes.
      def initialize(name, key)
        @name = name
        @key = key
      end

      # Whole or not at all, on the disk before it has its name. Yields what takes the dump's bytes.
      def write(manifest)
        part = "#{@name}.part"
        File.open(part, File::WRONLY | File::CREAT | File::TRUNC, 0o600) do |io|
          sealed = SealedFile::Writer.new(io, @key)
          sealed.write("#{JSON.generate(manifest)}\n")
          yield sealed
          sealed.finish
          io.fsync
        end
        File.rename(part, @name)
      ensure
        FileUtils.rm_f(part)
      end

      # What it says of itself. Raises SealedFile::Broken where it is no such file, or of another key.
      def manifest = JSON.parse(enum_for(:parts).first)

      # Yields the dump in pieces.
      def each
        line = nil
        parts { |part| line ? yield(part) : line = part }
      end

      private

      # The line of what it says of itself, and all behind it.
      def parts
        held = +"".b
        File.open(@name, "rb") do |io|
          SealedFile.read(io, @key) do |piece|
            next yield piece unless held

            held << piece
            line, rest = held.split("\n", 2)
            next unless rest

            held = nil
            yield line
            yield rest
          end
        end
      end
    end
  end
end
