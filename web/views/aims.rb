# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # The gym's table by aim.
      module Aims
        module_function

        # own: whether the gym wrote it itself.
        def of(gym)
          rows = gym.aims.all
          { aims: Loading::Aim.table(rows).map { |aim| one(aim) }, own: rows.any?, version: gym.versions[:aims] }
        end

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
