# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # What a row of a file would do.
      #   line    where it stands in the file
      #   action  :add, :change, :same (nothing), :refuse
      #   wrong   why it is refused: Invalid
      #   said    its values as they were read; known: what stands there already, as far as whoever writes wants to know
      #   tells   what somebody should see before it is taken in, in a sentence: what becomes what, a namesake; nil
      #           where nothing
      Outcome =
        Struct.new(:line, :action, :wrong, :said, :known, :tells) do
          def self.refuse(line, wrong, said = {}) = new(line, :refuse, wrong, said, nil)
          def refused? = action == :refuse
        end
    end
  end
end
