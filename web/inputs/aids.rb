# frozen_string_literal: true

module Verglas
  module Web
    module Inputs
      # Cushions and pads in use at a fitting, by size in mm; none where none is named.
      module Aids
        NAMES = %w[cushion_back_mm cushion_seat_mm hip_pad_mm].freeze

        module_function

        # Whatever was sent or kept, whole.
        def of(given) = NAMES.to_h { |name| [name, given.to_h.transform_keys(&:to_s).fetch(name, 0).to_f] }

        # As what the core wishes for.
        def wishes(given) = of(given).transform_keys(&:to_sym)
      end
    end
  end
end
