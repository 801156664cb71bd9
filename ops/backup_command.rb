# frozen_string_literal: true

# What bin/backup and bin/restore do, for the server that bin/serve serves.
require "optparse"
require_relative "backup"
require_relative "settings"

module Verglas
  module Ops
    # A folder stands for a new file in it, named by the time; or, to check, for the newest there.
    module BackupCommand
      ENDING = ".verglas"

      module_function

      def call(way, given, backup, now: Time.now)
        case way
        when "make"
          backup.make(File.directory?(given) ? File.join(given, now.utc.strftime("%Y-%m-%dT%H%M%SZ#{ENDING}")) : given)
        when "check"
          backup.check(File.directory?(given) ? newest(given) : given)
        else
          backup.restore(given)
        end
      end

      def newest(folder)
        Dir[File.join(folder, "*#{ENDING}")].max || raise(Backup::Failure, "no backup lies in #{folder}")
      end
      private_class_method :newest
    end
  end
end

if $PROGRAM_NAME == __FILE__
  begin
    way, file = ARGV
    abort "Usage: bin/backup FILE-OR-FOLDER | bin/backup --check FILE-OR-FOLDER | bin/restore FILE" unless file
    settings = Verglas::Ops::Settings.new
    if settings.url
      abort "verglas: DATABASE_URL names a database that somebody else runs: back it up there (docs/operating.md)"
    end

    Verglas::Ops::BackupCommand.call(way, file, Verglas::Ops::Backup.new(settings.folder))
  rescue Verglas::Ops::Settings::Failure,
         Verglas::Ops::Backup::Failure,
         Verglas::Ops::SealedFile::Broken,
         Verglas::Ops::Cluster::Failure,
         SystemCallError,
         ArgumentError => e
    abort "verglas: #{e.message}"
  end
end
