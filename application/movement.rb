# frozen_string_literal: true

module Verglas
  module Application
    # A movement that a phone reads: what is asked of it when a code is made, and what the reading tells, while it goes
    # on and once it is over. docs/model.md section 17
    class Movement
      # Of a reading of a limit, to be told.
      LIMIT = %w[now_deg furthest_deg].freeze

      # What is asked of a set; nil where nothing on this machine can be read. evaluation: at the marks at which it is
      # done. Raises Invalid where the client may not get on.
      def self.of_set(meeting, evaluation, planned:)
        refused = meeting.refusals(evaluation).first
        raise Invalid, refused if refused

        phone = laid(meeting, evaluation) or return
        tempo = meeting.pace.tempo
        slow = Scenes::Quickening.of(evaluation.mechanics, evaluation.place, tempo.slow_deg)
        {
          machine: Told::Names.machine(meeting.machine_row[:name], meeting.exercise),
          **phone.to_h,
          planned: planned,
          tempo: tempo.to_h,
          slow_share: slow&.share,
          first_share: first_share(meeting),
          careful: meeting.safety.rows.any?,
          picture: picture(evaluation, phone.on)
        }
      end

      # On which part a phone lies there; nil where nothing can be read.
      def self.read_on(meeting, evaluation) = laid(meeting, evaluation)&.on

      # Nobody is asked to be still under a load whom a caution forbids to hold one.
      def self.laid(meeting, evaluation)
        return if evaluation.findings.empty?

        laid = evaluation.mechanics.laid(evaluation.place)
        laid if laid&.readable? && !(laid.borne? && meeting.caution_effect.spared.include?(:holds))
      end

      # How far of the range the first repetition is to go.
      def self.first_share(meeting) = meeting.caution_effect.half_first ? 0.5 : 1

      # The machine as it stands with a phone on it; nil where nothing is drawn.
      def self.picture(evaluation, on)
        scene = Scenes.of(evaluation.mechanics, evaluation.place)&.whole or return
        phone = Scenes::Phone.of(scene, on) or return
        Told::Scene.with_phone(scene, phone)
      end
      private_class_method :picture, :laid, :first_share

      # What is asked of a limit (Guidance::Limits::Limit). Raises Invalid where no phone reads it.
      def self.of_limit(limit)
        raise Invalid.new(:limit_not_read, path: "/limit") unless limit.read_on

        { on: limit.read_on, limit: limit.name }
      end

      # With the fitting, until another is kept there. Raises Invalid where it is not over, or belongs to no open
      # fitting.
      def self.keep(gym, row)
        raise Invalid, :movement_not_over unless row[:ended_at]

        kept = new(row[:asked], row[:found]).kept
        unless row[:fitting_id] && gym.fittings.keep_movement(row[:fitting_id], kept) == 1
          raise Invalid.new(:not_allowed, path: "/movement")
        end

        gym.movements.delete(row[:id])
      end

      # asked, found: as the row has them.
      def initialize(asked, found = {})
        @asked = asked.to_h.transform_keys(&:to_s)
        @found = found.to_h
      end

      attr_reader :asked, :found

      def limit? = asked.key?("limit")
      def on = asked["on"].to_sym

      # Whether a caution stands: then nothing is said that asks for more.
      def careful? = asked.fetch("careful", true)

      # What samples tell, as it is kept; nothing yet while there are too few.
      def read(sent)
        samples = Motion::Samples.read(sent)
        return { "restless" => true } if samples.restless?

        limit? ? of_limit(samples) : of_set(samples)
      rescue Invalid => e
        raise unless e.code == :too_short

        {}
      end

      # How a set went that was read (Motion::Review).
      def review
        @review ||=
          Motion::Review.new(
            found.fetch("repetitions", []).map { |one| Motion::Repetition.new(**one.transform_keys(&:to_sym)) },
            laid: laid,
            planned: asked["planned"],
            tempo: Loading::Tempo.read(asked["tempo"].transform_keys(&:to_sym)),
            first_share: asked.fetch("first_share", 1),
            slam: found.fetch("slam", false),
            slipped: found.fetch("slipped", false)
          )
      end

      def laid
        Motion::Laid.new(
          on: on,
          from_deg: asked["from_deg"],
          upto_deg: asked["upto_deg"],
          lowers_first: asked["lowers_first"]
        )
      end

      # What stays with the set: what was asked and what was found.
      def kept = { "asked" => asked.except("machine", "picture", "careful"), "found" => found }

      private

      def of_set(samples)
        reading =
          Motion::Reading.new(
            samples,
            start_deg: asked["from_deg"],
            end_deg: asked["upto_deg"],
            slow_share: asked["slow_share"]
          )
        curve = reading.curve
        {
          "share" => reading.shares.last.round(3),
          "repetitions" => reading.repetitions.map { |one| one.to_h.transform_values { |number| number&.round(3) } },
          "slam" => reading.slam?,
          "slipped" => reading.slipped?,
          "step_s" => curve.step_s.round(3),
          "curve" => curve.shares.map { |share| (share * 100).round }
        }
      end

      def of_limit(samples)
        excursion = Motion::Excursion.new(samples)
        LIMIT.to_h { |name| [name, excursion.public_send(name).round(1)] }
      end
    end
  end
end
