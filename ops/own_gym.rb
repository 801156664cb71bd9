# frozen_string_literal: true

module Verglas
  module Ops
    # What bin/serve serves: a gym's own, which begins empty. Whoever reads the console may begin it.
    class OwnGym
      # folder: where the data lie.
      def initialize(folder)
        @folder = folder
      end

      # Each start of an empty server prints a code of its own; the one before opens nothing any more.
      def prepare(database)
        @code = Store::StaffLinks.new(database).make_first if database[:gyms].empty?
      end

      # Lines.
      def told
        [
          *("No gym is here yet. Open the page and begin it with this code: #{@code}" if @code),
          "Ctrl-C stops it. The data lie in #{@folder}: docs/operating.md says how they are backed up."
        ]
      end
    end
  end
end
