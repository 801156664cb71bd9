# frozen_string_literal: true

module Verglas
  module Formats
    # The machine, the body and the wishes that a request speaks of, given whole or by the id of a known one.
    class Subjects
      OPTIONS = { "wanted" => :contact_above_ankle_mm, "start" => :start_bend_deg, "shim_back" => :cushion_back_mm,
                  "shim_seat" => :cushion_seat_mm, "knee_bend_limit" => :knee_bend_limit_deg }.freeze

      def initialize(machines:, bodies:)
        @machines = machines
        @bodies = bodies
      end

      def machine(request)
        given = request.fetch("machine")
        data = given.is_a?(Hash) ? given : known(@machines, given, "/machine", :unknown_machine)
        Machines::Reader.read(data)
      rescue Invalid => e
        raise e.path.start_with?("/machine") ? e : e.below("/machine")
      end

      # An exact body, by parameters or id, or one estimated from sex and readings.
      def estimate(request)
        given = request["body"] || request["body_params"]
        given = known(@bodies, given, "/body", :unknown_body) if given.is_a?(String)
        return Body::Estimate.exact(dimensions(given)) if given.is_a?(Hash) && given.key?("thigh")

        estimation(given || request).estimate
      end

      def estimation(data)
        readings = data.fetch("readings", []).map do |name, value|
          Body::Reading.new(observation: name.to_sym, value_mm: value, confirmed: data.fetch("confirmed", []).include?(name))
        end
        Body::Estimation.new(sex: data["sex"], body_mass_kg: data["body_mass"], readings: readings)
      end

      # What the estimate rests on, by name.
      def taken(request)
        data = request["body"].is_a?(Hash) ? request["body"] : request
        data.fetch("readings", []).map { |name, _| name.to_sym }
      end

      def wishes(request, machine)
        options = request.fetch("options", {}).slice(*OPTIONS.keys)
        Fitting::Wishes.for(machine.family, **options.transform_keys(OPTIONS))
      end

      def cushions(request)
        given = request.dig("options", "cushions") || {}
        Fitting::Cushions.new(back_mm: given.fetch("back", []), seat_mm: given.fetch("seat", []))
      end

      private

      def dimensions(data)
        Body::Dimensions.from(data.transform_keys(&:to_sym).slice(*Body::PARAMETERS))
      rescue Invalid => e
        raise e.below("/body")
      end

      def known(collection, id, path, code) = collection.fetch(id) { raise Invalid.new(code, path: path, id: id) }
    end
  end
end
