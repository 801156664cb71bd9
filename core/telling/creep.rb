# frozen_string_literal: true

module Verglas
  module Telling
    # How far a roller travels along the leg over the arc (mm, + towards the foot), in a word. It follows from the
    # pivot's offset and is not graded twice. core/data/knee.yml, docs/model.md section 3
    module Creep
      FIGURES = Tables[:knee][:creep]

      module_function

      # :none, :slight or :clear
      def word(creep_mm)
        size = creep_mm.abs
        return :none if size < FIGURES[:none_below_mm]

        size > FIGURES[:slight_up_to_mm] ? :clear : :slight
      end

      # The same as a sentence, with which way: of a roller along the leg, or a pad along the thigh.
      def says(creep_mm, of: :roller)
        way = "_#{creep_mm.negative? ? "up" : "down"}" unless word(creep_mm) == :none
        key = "#{word(creep_mm)}#{way}"
        Says.of(of == :pad ? "pad_creep.#{key}" : "motion.#{key}", mm: creep_mm.abs.round)
      end
    end
  end
end
