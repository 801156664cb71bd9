# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # The gym's table by aim.
      module Aims
        module_function

        # aims: Questions::Aims.
        def of(aims) = { aims: aims.table.map { |aim| one(aim) }, own: aims.own, version: aims.version }

        def one(aim)
          {
            **aim.to_h.slice(:name, :sets, :repetitions, :seconds, :rest_s),
            tempo: aim.tempo&.transform_values { |seconds| (seconds % 1).zero? ? seconds.to_i : seconds }
          }
        end
      end
    end
  end
end
