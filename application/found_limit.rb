# frozen_string_literal: true

module Verglas
  module Application
    # A limit of a client that was seen on a machine, at a share of its movement: "the pelvis starts to roll here". The
    # geometry gives the degrees; what is kept says where it was seen.
    module FoundLimit
      module_function

      # Limits that can be read off at these marks, as the picture names them; none that a caution forbids to measure.
      def offered(evaluation, uncleared)
        return [] if evaluation.findings.empty?

        evaluation
          .mechanics
          .limits_at(evaluation.place, 0.0)
          .keys
          .map { |name| Guidance::Limits.fetch(name) }
          .select { |limit| limit.skipped_for(uncleared).empty? }
      end

      # {deg:, reading:}: degrees, and as the client's page reads it (cm from the wall, of an ankle). Raises Invalid for
      # what is not read there, and outside what can be.
      def read(evaluation, limit, share)
        deg =
          evaluation
            .mechanics
            .limits_at(evaluation.place, share)
            .fetch(limit.name) { raise Invalid.new(:unknown_limit, path: "/limit", limit: limit.name.to_s) }
        reading = (limit.per_cm ? deg / limit.per_cm : deg).floor(1)
        { deg: limit.degrees(reading).round(1), reading: reading }
      end
    end
  end
end
