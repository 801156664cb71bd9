# frozen_string_literal: true

module Verglas
  module Formats
    # The machine, the body and the wishes that a request speaks of, given whole or by the id of a known one.
    class Subjects
      # Where a roller wants to touch unless a document says otherwise (mm above the ankle).
      JUST_ABOVE_ANKLE_MM = Guidance::HouseRules.fetch(:extension_roller).usual.fetch(:contact_above_ankle_mm)

      OPTIONS = {
        "wanted" => :contact_above_ankle_mm,
        "start" => :start_bend_deg,
        "shim_back" => :cushion_back_mm,
        "shim_seat" => :cushion_seat_mm,
        "hip_pad" => :hip_pad_mm,
        "k_s" => :knee_laid_mm,
        "end" => :end_bend_deg,
        "sole" => :sole_mm,
        "target" => :target_bend_deg,
        "share" => :foot_share,
        "f" => :foot_mm,
        "link" => :link,
        "sink" => :sink_mm,
        "bottom" => :bottom_deg,
        "held" => :held_kg,
        "mass" => :mass_kg,
        "knee_over" => :knee_over_mm,
        "angle" => :angle_deg,
        "foot_rest" => :foot_rest_mm,
        "cushion" => :cushion_seat_mm
      }.freeze
      # Numbers of the machine that may be told with a request instead.
      OF_MACHINE = %w[heel_roller].freeze
      # Limits that may stand beside the others as well.
      BESIDE = %w[heel_drop hip_bend_limit ankle_limit abduction_limit hip_extension].freeze
      # What may stand among them and is none.
      SAID = %w[toes hip_given].freeze
      # How far the knee may come, as a family wishes it.
      TOES = { "over" => 0, "up to" => 1, "past" => 2 }.freeze

      # schema: against which a machine or a body of a collection is checked when a request first names it.
      def initialize(machines:, bodies:, schema: Schema.new("compute"))
        @machines = machines
        @bodies = bodies
        @schema = schema
        @checked = {}
      end

      # The machine of the request's exercise. Where a constant or a travel is null, it is told as far as it is taped.
      def machine(request, exercise: request["exercise"])
        reading(request) do |data|
          if untaped?(data)
            Machines::Reader.read_known(data, exercise: exercise)
          else
            Machines::Reader.read(data, exercise: exercise)
          end
        end
      end

      # Whether the request speaks of a whole station: then {exercise => Machine}, else nil.
      def station(request)
        reading(request) do |data|
          family = Machines::Families.fetch(data.fetch("family"))
          next if family.exercises.key?(nil) || family.set_anew || request["exercise"]

          family.exercises.keys.to_h { |name| [name, machine(request, exercise: name)] }
        end
      end

      # Labels of what a station's exercises share.
      def shared(request) = reading(request) { |data| Machines::Families.fetch(data.fetch("family")).shared(data) }

      # An exact body, by parameters or id, or one estimated from sex and readings.
      def estimate(request)
        given = request["body"] || request["body_params"]
        given = known(:body, given, "/body") if given.is_a?(String)
        return Body::Estimate.exact(dimensions(given)) if given.is_a?(Hash) && given.key?("thigh")

        estimation(given || request).met
      end

      def estimation(data, checked: [])
        readings =
          data
            .fetch("readings", [])
            .map do |name, value|
              Body::Reading.new(
                observation: name.to_sym,
                value_mm: value,
                confirmed: data.fetch("confirmed", []).include?(name)
              )
            end
        Body::Estimation.new(
          sex: data["sex"],
          body_mass_kg: data["body_mass"],
          age_years: data["age"],
          readings: readings,
          checked: checked
        )
      end

      # The checked fitting that a request tells of, in a list of one or none.
      def checked(request)
        return [] unless request["back_face"] || request["roller_reach"]

        [
          Body::CheckedFitting.new(
            machine: "",
            back_face_mm: request["back_face"],
            pitch_back_mm: request["pitch_back"],
            knee_off_mm: request.fetch("knee_off", 0),
            roller_reach_mm: request["roller_reach"],
            roller_radius_mm: request["roller_radius"],
            pitch_roller_mm: request["pitch_roller"],
            contact_above_ankle_mm: request.fetch("wanted", JUST_ABOVE_ANKLE_MM)
          )
        ]
      end

      # One exact body by its id.
      def body(id) = dimensions(known(:body, id, "/bodies"))

      # What the estimate rests on, by name.
      def taken(request)
        data = request["body"].is_a?(Hash) ? request["body"] : request
        data.fetch("readings", []).map { |name, _| name.to_sym }
      end

      # machine: for what its family aims at.
      def wishes(request, machine)
        options = request.fetch("options", {})
        given = {
          **emphasis(machine.family, options["emphasis"]),
          **options.slice(*OPTIONS.keys).transform_keys(OPTIONS),
          **toes(options),
          **measured_wishes(machine.family, limits(options))
        }
        known = given.slice(*machine.family.wishes.keys, *machine.family.choices.keys)
        Mechanisms::Wishes.for(
          machine.family,
          envelope: envelope(options),
          hard: spans(options) & given_hip(options),
          slack_from_deg: options["slack_from"],
          measured: limits(options).keys,
          **known
        )
      end

      # Adjusters that stand where the request says: {label => index}.
      def held(request, machine)
        request.fetch("marks", {}).to_h { |label, mark| [label, machine.adjuster(label).index(mark)] }
      end

      # A leg on a plate that is to be told at one bend; nil where none is asked for.
      def posing(request)
        options = request.fetch("options", {})
        options["knee_bend"] &&
          { bend_deg: options["knee_bend"], load_kg: options.values_at("plates", "load").compact.first || 0.0 }
      end

      # What was measured of the joints: {limit => degrees}.
      def limits(options)
        given = { **options.slice(*BESIDE), **options.fetch("limits", {}) }.except(*SAID).compact
        given.to_h { |name, deg| [Guidance::Limits.fetch(name.delete_suffix("_limit")).name, deg] }
      rescue Invalid => e
        raise Invalid.new(e.code, path: "/options/limits", **e.params)
      end

      def measured_wishes(family, limits)
        family
          .wishes
          .each_value
          .select { |wish| limits.key?(wish.measured_as) }
          .to_h { |wish| [wish.name, limits[wish.measured_as]] }
      end

      # What was measured, and what somebody said: knee_flexion: [from, to], an end null where it is open;
      # knee_bend_limit: its upper end alone.
      def envelope(options)
        envelope = spans(options) & Guidance::Limits.envelope(limits(options))
        raise Invalid.new(:range_reversed, path: "/options/knee_flexion") if envelope.contradictions.any?

        envelope
      end

      def spans(options)
        [options.fetch("knee_flexion", Body::Envelope::OPEN), [nil, options["knee_bend_limit"]]].map do |ends|
            Body::Envelope.new({ knee_flexion: ends })
          end
          .inject(:&)
      end

      # The hip's limit where a caution or a clinician set it.
      def given_hip(options)
        if options.dig("limits", "hip_given")
          Guidance::Limits.envelope(limits(options).slice(:hip_bend))
        else
          Body::Envelope.open
        end
      end

      # What is aimed at for an emphasis: the request's, else that of the exercise.
      def emphasis(family, name)
        one = name ? family.emphases.fetch(name) { unknown_emphasis(family, name) }.emphasis : family.emphasis
        one ? { **Guidance::HouseRules.of_schools(one.schools), **one.wishes } : {}
      end

      def unknown_emphasis(family, name)
        raise Invalid.new(:not_allowed, path: "/options/emphasis", emphasis: name, known: family.emphases.keys)
      end

      def toes(options)
        said = options.dig("limits", "toes") || options["toes"]
        said ? { toes: TOES.fetch(said) } : {}
      end

      # What may be added, as far as the request has it.
      def choices(request)
        options = request.fetch("options", {})
        cushions = options["cushions"] || {}
        Fitting::Choices.new(
          sizes: {
            cushion_back_mm: cushions.fetch("back", []),
            cushion_seat_mm: cushions.fetch("seat", []),
            block_mm: options.fetch("blocks", []),
            mat_mm: options.fetch("mats", [])
          }
        )
      end

      private

      # A file may name a family by what it is and of which kind.
      def reading(request)
        given = request.fetch("machine")
        data = given.is_a?(Hash) ? given : known(:machine, given, "/machine")
        constants = data.fetch("constants", {}).merge(request.fetch("options", {}).slice(*OF_MACHINE).compact)
        yield(
          data.merge(
            "family" => Machines::Families.named(request["family"] || data["family"], data["kind"]),
            "constants" => constants
          )
        )
      rescue Invalid => e
        raise e.path.match?(%r{\A/(machine|exercise)}) ? e : e.below("/machine")
      end

      def untaped?(data)
        parts = [data, *data.fetch("exercises", {}).values]
        parts.any? do |part|
          part.fetch("constants").value?(nil) || part.fetch("adjusters").any? { |adjuster| adjuster["travel"].nil? }
        end
      end

      def dimensions(data)
        Body::Dimensions.from(data.transform_keys(&:to_sym).slice(*Body::PARAMETERS))
      rescue Invalid => e
        raise e.below("/body")
      end

      def known(kind, id, path)
        found =
          { machine: @machines, body: @bodies }.fetch(kind)
            .fetch(id) { raise Invalid.new(:"unknown_#{kind}", path: path, id: id) }
        @checked.fetch([kind, id]) { check(kind, id, found, path) }
        found
      end

      def check(kind, id, found, path)
        @schema.check!(kind, found)
        @checked[[kind, id]] = true
      rescue Invalid => e
        raise e.below(path)
      end
    end
  end
end
