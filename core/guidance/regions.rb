# frozen_string_literal: true

module Verglas
  module Guidance
    # Where a set may be felt, and what that means: the muscle that is meant to work is expected, one that works too is
    # no sign, another one is a sign, a joint stops the exercise today. core/data/regions.yml
    module Regions
      # What a place may mean, the most wanted first.
      MEANINGS = %i[works helps elsewhere joint].freeze

      Region =
        Value.define(:name, :joint, :works, :helps) do
          # One of MEANINGS, on a machine of that family.
          def meaning(family)
            return :joint if joint
            return :works if works.include?(family.purpose) || aimed?(family)

            helps.include?(family.purpose) ? :helps : :elsewhere
          end

          # Whether it is what an emphasis is for.
          def aimed?(family) = !family.emphasis.nil? && family.emphasis.meant.include?(name)
        end

      ALL = Tables[:regions][:regions].to_h { |row| [row[:name], Region.new(**row)] }.freeze

      def self.fetch(name) = ALL.fetch(name.to_sym) { raise Invalid.new(:not_allowed, path: "/felt", known: ALL.keys) }

      # Names of those that are meant to work on a machine of that family.
      def self.meant(family) = of(family).select { |region| region.meaning(family) == :works }.map(&:name)

      # Those first that are meant to work, of them those that an emphasis is for; joints last.
      def self.of(family)
        ALL.values.sort_by.with_index do |region, index|
          [MEANINGS.index(region.meaning(family)), region.aimed?(family) ? 0 : 1, index]
        end
      end
    end
  end
end
