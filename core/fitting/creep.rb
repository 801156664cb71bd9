# frozen_string_literal: true

module Verglas
  module Fitting
    # How far a roller travels along the leg over the arc (mm, + towards the foot), in a word. It follows from the pivot's offset
    # and is not graded twice. core/data/knee.yml
    module Creep
      FIGURES = Tables[:knee][:creep]

      # :none, :slight or :clear
      def self.word(creep_mm)
        size = creep_mm.abs
        return :none if size < FIGURES[:none_below_mm]

        size > FIGURES[:slight_up_to_mm] ? :clear : :slight
      end
    end
  end
end
