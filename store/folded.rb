# frozen_string_literal: true

module Verglas
  module Store
    # Text as the database folds names: accents, case, hyphens and apostrophes taken off.
    module Folded
      def self.of(text) = text.to_s.unicode_normalize(:nfkd).gsub(/\p{M}/, "").downcase.tr("-'", "  ")
    end
  end
end
