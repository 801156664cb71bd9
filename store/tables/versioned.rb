# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Rows that somebody changes over the version which they saw. Whoever takes it in says what the rows are (dataset,
      # find) and as what a writer who came too late is shown them (STALE).
      module Versioned
        private

        # The changed row; raises Stale with what stands there otherwise.
        def revised(id, version:, by:, rows: dataset, **columns)
          row =
            ConstraintErrors.translate do
              rows
                .where(id: id, version: version)
                .returning
                .update(version: Sequel[:version] + 1, updated_by: by, updated_at: Sequel::CURRENT_TIMESTAMP, **columns)
                .first
            end
          row || raise(Stale, stands(id))
        end

        def removed(id, version:)
          raise Stale, stands(id) if dataset.where(id: id, version: version).delete.zero?
        end

        # nil where it is gone.
        def stands(id) = find(id) && { self.class::STALE => id }
      end
    end
  end
end
