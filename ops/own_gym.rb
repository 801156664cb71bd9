# frozen_string_literal: true

module Verglas
  module Ops
    # What bin/serve serves: a gym's own, which begins empty. Whoever reads the console may begin it.
    class OwnGym
      DAY_S = 86_400
      UNSAVED = "UPGRADE_WITHOUT_BACKUP"

      # folder: where the data lie.
      def initialize(folder, environment = ENV)
        @folder = folder
        @environment = environment
      end

      # A newer version changes the database: not without a way back.
      def before_change(database)
        return if @environment.key?(UNSAVED) || !database.table_exists?(:backups) || database[:gyms].empty?
        return if database[:backups].where { made_at > Time.now - DAY_S }.any?

        raise Cluster::Failure,
              "this version changes the database, and no backup is younger than a day: run bin/backup first " \
                "(#{UNSAVED}=yes goes on without)"
      end

      # A database that was set back to an earlier time does not bring back who was erased since. Each start of an empty
      # server prints a code of its own; the one before opens nothing any more.
      def prepare(database)
        @gone = Store::Erasure.repeat(database, @environment)
        @code = Store::StaffLinks.new(database).make_first if database[:gyms].empty?
      end

      # Lines.
      def told
        [
          *("#{@gone} who were erased since are gone again." if @gone.to_i.positive?),
          *("No gym is here yet. Open the page and begin it with this code: #{@code}" if @code),
          "Ctrl-C stops it. The data lie in #{@folder}: docs/operating.md says how they are backed up."
        ]
      end
    end
  end
end
