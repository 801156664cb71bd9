# frozen_string_literal: true

require "English"
require "tempfile"
require "uri"
require_relative "cluster"

module Verglas
  module Ops
    # A database of a cluster out of it and into it, by PostgreSQL's own programs, as the cluster's owner.
    class Dump
      def initialize(cluster, name)
        @cluster = cluster
        @url = URI(cluster.owner_url(name))
      end

      # Yields what stands in it, as a snapshot has it.
      def out(snapshot, &) = piped("rb", "pg_dump", "--format=custom", "--compress=3", "--snapshot=#{snapshot}", &)

      # Yields where to write what stood in it.
      def into(&) = piped("wb", "pg_restore", "--exit-on-error", &)

      private

      # Raises Cluster::Failure with the last thing that the program said.
      def piped(mode, program, *arguments, &)
        said = Tempfile.create("verglas-#{program}")
        command = [File.join(@cluster.programs, program), *arguments, "--dbname=#{address}"]
        IO.popen([secret, *command, { chdir: "/", err: said.path }], mode, &)
        raise Errno::EPIPE unless $CHILD_STATUS.success?
      rescue Errno::EPIPE
        raise Cluster::Failure, "#{program} failed: #{File.readlines(said.path).last.to_s.strip}"
      ensure
        File.delete(said.path) if said
      end

      # Not in what everybody sees of a process.
      def secret = { "PGPASSWORD" => @url.password }
      def address = @url.dup.tap { |url| url.password = nil }.to_s
    end
  end
end
