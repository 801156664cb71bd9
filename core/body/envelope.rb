# frozen_string_literal: true

module Verglas
  module Body
    # The range in which each of a client's joints may move, degrees: {motion => [least, most]}, nil where an end is
    # open. Every source (measured, a caution's figure, a clinician's degrees) is an envelope of its own; the strictest
    # holds, joint by joint and end by end. docs/model.md section 1.
    class Envelope
      MOTIONS = %i[
        knee_flexion
        hip_flexion
        hip_hinge
        hip_abduction
        hip_adduction
        hip_extension
        ankle_dorsiflexion
        heel_drop
      ].freeze
      OPEN = [nil, nil].freeze

      attr_reader :spans

      def self.open = @open ||= new({})

      # spans: {motion => [from_deg, to_deg]}
      def initialize(spans)
        unknown = spans.keys - MOTIONS
        raise Invalid.new(:unknown_motion, path: "/degrees", motion: unknown.first.to_s) unless unknown.empty?

        @spans =
          spans
            .to_h { |motion, ends| [motion, ends.map { |deg| deg&.to_f }.freeze] }
            .reject { |_, ends| ends == OPEN }
            .freeze
        freeze
      end

      def [](motion) = spans.fetch(motion, OPEN)
      def from(motion) = self[motion].first
      def to(motion) = self[motion].last
      def open? = spans.empty?

      # The strictest of both.
      def &(other)
        Envelope.new(
          (spans.keys | other.spans.keys).to_h do |motion|
            froms, tos = self[motion].zip(other[motion])
            [motion, [froms.compact.max, tos.compact.min]]
          end
        )
      end

      # A clinician's degrees in the place of a caution's figures: each end that is given, of the joint that is named,
      # and no other; the ends of one joint are kept in order by the clinician's word.
      def replaced_by(given)
        Envelope.new(
          spans.merge(given.spans) { |_, own, theirs| theirs.zip(own).map { |deg, figure| deg.nil? ? figure : deg } }
        )
      end

      # Of its ends those that another, which is at least as strict, has too.
      def kept_in(other)
        Envelope.new(
          spans.to_h { |motion, ends| [motion, ends.zip(other[motion]).map { |own, held| own == held ? own : nil }] }
        )
      end

      # Motions for which two sources leave nothing between them.
      def contradictions = spans.select { |_, (from, upto)| from && upto && from > upto }.keys

      # The same with the upper end alone where two sources leave nothing between them: nobody is told a range there,
      # the machine is barred.
      def settled
        if contradictions.empty?
          self
        else
          Envelope.new(
            spans.to_h do |motion, (from, upto)|
              [motion, contradictions.include?(motion) ? [upto, upto] : [from, upto]]
            end
          )
        end
      end

      # The same with what one motion says of the other end of the same joint: a hip that does not come straight stays
      # bent so far, and the other way round.
      def joined
        stays = to(:hip_extension)&.-@
        straightest = from(:hip_flexion)
        self &
          Envelope.new(
            {
              hip_flexion: [(stays if stays&.positive?), nil],
              hip_extension: [nil, (-straightest if straightest&.positive?)]
            }
          )
      end

      # Whether an angle (degrees) lies within.
      def cover?(motion, deg)
        from, upto = self[motion]
        (from.nil? || deg >= from) && (upto.nil? || deg <= upto)
      end

      # The nearest angle that lies within.
      def clamp(motion, deg)
        from, upto = self[motion]
        deg = [deg, from].max if from
        upto ? [deg, upto].min : deg
      end

      def ==(other) = other.is_a?(Envelope) && spans == other.spans
      alias eql? ==
      def hash = spans.hash
      def to_h = spans
    end
  end
end
