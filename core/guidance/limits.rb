# frozen_string_literal: true

module Verglas
  module Guidance
    # How far a client's own joints go, in degrees: measured, or what holds until somebody has. core/data/limits.yml
    module Limits
      # motion: of which joint, nil where it moves what is aimed at and no joint's range; default_deg: nil where nothing
      # holds until measured; stricter: {default:, from_years:, above_kg_per_m2:} for whom less holds until then, nil
      # for nobody; per_cm: degrees a centimetre where centimetres are read, else nil;
      # read_on: where a phone lies that reads it, nil where none can.
      Limit =
        Value.define(:name, :motion, :default_deg, :stricter, :range_deg, :per_cm, :read_on, :skipped_under) do
          # What holds of somebody until it is measured (degrees). build: Body::Build; mass_index: kg/m^2; either may
          # know nothing.
          def usual_deg(build, mass_index) = stricter && stricter?(build, mass_index) ? stricter[:default] : default_deg

          def stricter?(build, mass_index)
            (build.age_years || 0) >= stricter[:from_years] || (mass_index || 0) > stricter[:above_kg_per_m2]
          end
          private :stricter?

          # What was read, cm or degrees, as degrees. Raises Invalid outside what can be.
          def degrees(reading)
            deg = per_cm ? reading * per_cm : reading
            return deg.to_f if range_deg.cover?(deg)

            factor = per_cm || 1
            raise Invalid.new(
                    :limit_out_of_range,
                    path: "/reading",
                    low: (range_deg.min / factor).round(1),
                    high: (range_deg.max / factor).round(1)
                  )
          end

          # cautions: names. Those under which it is not measured.
          def skipped_for(cautions) = cautions & skipped_under
        end

      ALL =
        Tables[:limits][:limits]
          .to_h do |row|
            name, default, low, high = row.values_at(:name, :default, :low, :high)
            own = row.slice(:motion, :stricter, :per_cm, :read_on, :skipped_under)
            [name, Limit.new(name: name, default_deg: default, range_deg: low..high, **own)]
          end
          .freeze

      module_function

      def fetch(name)
        ALL.fetch(name.to_s.to_sym) { raise Invalid.new(:unknown_limit, path: "/limit", limit: name.to_s) }
      end

      # measured: {name => degrees}. The range of each joint as far as it was measured.
      def envelope(measured)
        measured
          .filter_map { |name, deg| fetch(name).motion&.then { |motion| Body::Envelope.new({ motion => [nil, deg] }) } }
          .inject(Body::Envelope.open, :&)
      end
    end
  end
end
