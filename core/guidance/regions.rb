# frozen_string_literal: true

module Verglas
  module Guidance
    # Where a set may be felt, and what that means: the muscle that is meant to work is expected, another one is a sign, a joint stops the
    # exercise today. core/data/regions.yml
    module Regions
      Region = Value.define(:name, :joint, :works) do
        # :works, :elsewhere or :joint, on a machine of that family.
        def meaning(family)
          return :joint if joint

          works.include?(family.purpose) ? :works : :elsewhere
        end
      end

      ALL = Tables[:regions][:regions].to_h do |row|
        name = row[:name].to_sym
        [name, Region.new(name: name, joint: row[:joint], works: row[:works].map(&:to_sym).freeze)]
      end.freeze

      def self.fetch(name) = ALL.fetch(name.to_sym) { raise Invalid.new(:not_allowed, path: "/felt", known: ALL.keys) }

      # Those first that are meant to work; joints last.
      def self.of(family) = ALL.values.sort_by.with_index { |region, index| [%i[works elsewhere joint].index(region.meaning(family)), index] }
    end
  end
end
