# frozen_string_literal: true

module Verglas
  module Body
    # Made-up people known by their stature alone, on whom a machine is tried.
    module People
      module_function

      # {name => Estimate} of a small, a middle and a large person.
      def three
        @three ||= Tables[:body][:people].to_h { |row| [row[:name], known_by(row[:stature_mm], sex: row[:sex])] }.freeze
      end

      # One Estimate every few centimetres over the statures that a gym meets.
      def range
        @range ||=
          begin
            low, high, step = Tables[:body][:tried_statures_mm].values_at(:low, :high, :step)
            low.step(high, step).map { |stature| known_by(stature) }.freeze
          end
      end

      def known_by(stature_mm, sex: nil)
        Estimation.new(
          sex: sex,
          readings: [Reading.new(observation: :stature, value_mm: stature_mm, confirmed: true)]
        ).estimate
      end
      private_class_method :known_by
    end
  end
end
