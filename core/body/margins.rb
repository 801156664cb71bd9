# frozen_string_literal: true

module Verglas
  module Body
    # How far from a limit something stays, or how far past it something may go, in degrees: all there is of them.
    # core/data/limits.yml
    module Margins
      ROWS = Tables[:limits][:margins].to_h { |row| [row[:name], row] }.freeze

      module_function

      def past_deg(name) = ROWS.fetch(name).fetch(:past_deg)
      def short_deg(name) = ROWS.fetch(name).fetch(:short_deg)
    end
  end
end
