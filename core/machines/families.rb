# frozen_string_literal: true

module Verglas
  module Machines
    # The register of families: each file of families/ adds its own when it loads, then the register is closed.
    module Families
      @all = {}

      class << self
        def register(family)
          raise ArgumentError, "#{family.id} is registered already" if @all.key?(family.id)

          @all[family.id] = family
        end

        def close = @all.freeze
        def all = @all.values

        def fetch(id)
          @all.fetch(id.to_s.to_sym) { raise Invalid.new(:unknown_family, path: "/family", family: id.to_s) }
        end
      end
    end
  end
end
