# frozen_string_literal: true

module Verglas
  module Application
    # Brings what an older record kept up to the format of today, when it is read: nothing that was written down is
    # changed, and no number is told that was not told then. docs/formats/records.md
    class Upcaster
      # {format that it was => how the next one is made of it}
      STEPS = { 1 => :pictured }.freeze

      # record: {result:, computed_from:} as kept (string keys below); family: of the machine's exercise, as it was
      # described then.
      def self.read(record, family)
        format = record[:result].fetch("format", 1)
        whole(
          STEPS
            .select { |from, _| from >= format }
            .each_value
            .inject(record) { |kept, step| new(kept, family).public_send(step) }
        )
      end

      # What a record has of nothing where it was not computed here, or came without.
      NOTHING = {
        result: {
          "marks" => {
          },
          "aids" => {
          },
          "grade" => nil,
          "findings" => [],
          "quantities" => {
          },
          "motion" => nil,
          "steps" => {
          },
          "targets" => [],
          "scene" => nil
        }.freeze,
        computed_from: {
          "model" => "",
          "readings" => [],
          "learned" => [],
          "rules" => [],
          "mean_mm" => {
          },
          "sd_mm" => {
          },
          "wishes" => {
          },
          "envelope" => {
          },
          "advised" => {
          },
          "advised_status" => nil
        }.freeze
      }.freeze

      def self.whole(kept)
        short = !kept[:result].key?("scene")
        {
          result: {
            **NOTHING[:result],
            **(short ? { "says" => Formats::Words.say("records.nothing_computed") } : {}),
            **kept[:result]
          },
          computed_from: kept[:computed_from] && { **NOTHING[:computed_from], **kept[:computed_from] }
        }
      end
      private_class_method :whole

      def initialize(record, family)
        @result = record[:result]
        @computed_from = record[:computed_from]
        @family = family
      end

      # 1 to 2. A record held a figure in the machine's own frame, the joint, and the lens; the knee's range stood among
      # the wishes.
      def pictured
        kept = @result.except("figure", "joint", "lens")
        {
          result: {
            **kept,
            "format" => 2,
            "targets" => targets,
            "scene" => scene,
            "says" => Told::Evaluation.spoken(kept["findings"], kept["motion"])
          },
          computed_from: @computed_from && with_envelope
        }
      end

      private

      # The wishes without the range; the range, as the envelope of the knee.
      def with_envelope
        wishes = @computed_from.fetch("wishes", {})
        ends = wishes.values_at("knee_from_deg", "knee_to_deg")
        @computed_from.merge(
          "wishes" => wishes.except("knee_from_deg", "knee_to_deg"),
          "envelope" => ends.any? ? { "knee_flexion" => ends } : {}
        )
      end

      def targets
        joint = @result["joint"]
        kind = @family.findings.each_value.find(&:plane?)
        return [] unless joint && kind

        up = mechanics.up
        places =
          @result
            .fetch("lens", {})
            .transform_values do |points|
              points.map { |point| { mark: point["mark"], x_mm: point["s_mm"], y_mm: point["n_mm"] * up } }
            end
        [
          Told::Target.shown(
            mechanics,
            kind,
            at: [joint["s_mm"], joint["n_mm"] * up],
            sds: joint.values_at("sd_s_mm", "sd_n_mm"),
            covariance: joint["covariance_mm2"] * up,
            places: places
          )
        ]
      end

      # Drawn anew from the very numbers that the figure was drawn from.
      def scene
        return unless @result["figure"]

        Told::Scene.of(Scenes.of(mechanics, mechanics.place(machine.constants)).whole)
      end

      def mechanics = @mechanics ||= Mechanisms.for(machine, body, wishes)
      def figure = @result.fetch("figure") || {}
      def numbers = figure.fetch("machine", {}).transform_keys(&:to_sym)

      # The machine as it stood: its constants at the marks.
      def machine
        @machine ||=
          begin
            known = numbers.slice(*@family.constants.keys)
            family = figure.empty? ? @family : @family.told_by(known.keys)
            constants =
              figure.empty? ? Mechanisms::Sample.taped(@family, {}).constants : known.slice(*family.constants.keys)
            Machines::Machine.new(id: "", name: "", family: family, constants: constants, adjusters: [])
          end
      end

      def body
        if figure.empty?
          Body::Prior.estimate(sex: nil).dimensions
        else
          Body::Dimensions.from(figure.fetch("body").transform_keys(&:to_sym).slice(*Body::PARAMETERS))
        end
      end

      # As they were when the figure was drawn: cushions and pads, where the roller was wanted, where the client turns
      # back.
      def wishes
        given = {
          cushion_back_mm: numbers[:cushion_back],
          cushion_seat_mm: numbers[:cushion_seat],
          hip_pad_mm: numbers[:hip_pad],
          contact_above_ankle_mm: numbers[:wanted_above_ankle],
          end_bend_deg: figure.dig("ending", "bend_deg"),
          knee_laid_mm: @result.dig("joint", "s_mm")
        }
        Mechanisms::Wishes.for(@family, **given.compact.slice(*@family.wishes.keys, *@family.choices.keys))
      end
    end
  end
end
