# frozen_string_literal: true

module Verglas
  module Guidance
    # How far a client's own joints go, in degrees: measured, or what holds until somebody has. core/data/limits.yml
    module Limits
      # motion: of which joint; default_deg: nil where nothing holds until measured; per_cm: degrees a centimetre where centimetres are read, else nil.
      Limit = Value.define(:name, :motion, :default_deg, :range_deg, :per_cm, :skipped_under) do
        # What was read, cm or degrees, as degrees. Raises Invalid outside what can be.
        def degrees(reading)
          deg = per_cm ? reading * per_cm : reading
          return deg.to_f if range_deg.cover?(deg)

          factor = per_cm || 1
          raise Invalid.new(:limit_out_of_range, path: "/reading", low: (range_deg.min / factor).round(1), high: (range_deg.max / factor).round(1))
        end

        # cautions: names. Those under which it is not measured.
        def skipped_for(cautions) = cautions & skipped_under
      end

      ALL = Tables[:limits][:limits].to_h do |row|
        name = row[:name].to_sym
        [name,
         Limit.new(name: name, motion: row[:motion].to_sym, default_deg: row[:default], range_deg: row[:low]..row[:high], per_cm: row[:per_cm],
                   skipped_under: row[:skipped_under].map(&:to_sym))]
      end.freeze

      module_function

      def fetch(name) = ALL.fetch(name.to_s.to_sym) { raise Invalid.new(:unknown_limit, path: "/limit", limit: name.to_s) }

      # measured: {name => degrees}. The range of each joint as far as it was measured.
      def envelope(measured) = measured.map { |name, deg| Body::Envelope.new({ fetch(name).motion => [nil, deg] }) }.inject(Body::Envelope.open, :&)
    end
  end
end
