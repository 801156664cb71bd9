# frozen_string_literal: true

module Verglas
  module Web
    module Inputs
      # A name as typed, of a person or a gym; which signs it may hold the contract says.
      module Name
        module_function

        def tidy(name, path)
          tidied = name.strip.gsub(/\s+/, " ")
          raise Invalid.new(:blank, path: path) if tidied.empty?

          tidied
        end
      end
    end
  end
end
