# frozen_string_literal: true

require "digest"

module Verglas
  module Application
    # What a long computation rests on, as a digest: the same while every row of it is. Kept beside its result (Kept),
    # so that nothing of the rows is.
    module Fingerprint
      def self.of(*parts) = Digest::SHA256.hexdigest(parts.inspect)

      # Of a machine's row: another whenever it was corrected or taped.
      def self.machine(row) = row.slice(:id, :version, :number, :taped_at, :updated_at, :state)
    end
  end
end
