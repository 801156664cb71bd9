# frozen_string_literal: true

module Verglas
  module Fitting
    # How far a client's own joints go, in degrees: measured, or what holds until somebody has. core/data/limits.yml
    module Limits
      # default_deg: nil where nothing holds until measured; per_cm: degrees a centimetre where centimetres are read, else nil.
      Limit = Value.define(:name, :default_deg, :range_deg, :per_cm, :skipped_under) do
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
        [name, Limit.new(name: name, default_deg: row[:default], range_deg: row[:low]..row[:high], per_cm: row[:per_cm], skipped_under: row[:skipped_under].map(&:to_sym))]
      end.freeze

      module_function

      def fetch(name) = ALL.fetch(name.to_s.to_sym) { raise Invalid.new(:unknown_limit, path: "/limit", limit: name.to_s) }

      # measured: {name => degrees}; wishes: what is aimed at without them. What differs, by the names of Wishes: the bend allowed,
      # and a start that would lie beyond it.
      def narrowing(measured, wishes)
        return {} unless measured[:knee_bend]

        bend = [measured[:knee_bend], wishes[:knee_bend_limit_deg]].compact.min
        { knee_bend_limit_deg: bend, start_bend_deg: [wishes.fetch(:start_bend_deg), bend].min }
      end
    end
  end
end
