# frozen_string_literal: true

module Verglas
  module Web
    module Inputs
      # A row of the gym's table by aim, as it was typed.
      module Aim
        def self.row(aim)
          name = aim["name"].strip.gsub(/\s+/, " ")
          raise Invalid.new(:blank, path: "/aims") if name.empty?
          raise Invalid.new(:aim_counts_nothing, path: "/aims") unless aim["repetitions"] || aim["seconds"]

          {
            name: name,
            **aim.slice("sets", "repetitions", "seconds", "rest_s").transform_keys(&:to_sym),
            **aim["tempo"].to_h.transform_keys(&:to_sym)
          }
        end
      end
    end
  end
end
