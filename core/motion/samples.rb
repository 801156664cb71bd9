# frozen_string_literal: true

module Verglas
  module Motion
    # What a phone sent, looked at, in its order, and as it is in the plane of the movement.
    #   plane   [[t s, ax, ay m/s2, turn deg/s]], gravity included, turn with the error that it has
    #   along   m/s2 along the axis, a number a sample; nil where only the plane was sent
    Samples =
      Value.define(:plane, :along) do
        # sent: samples of four numbers as in plane, or of seven of a phone that lies any way (Plane), the first seconds
        # still. Raises Invalid where they are neither, or too few.
        def self.read(sent)
          check(sent)
          # What was sent again counts once.
          in_order = sent.sort_by(&:first).uniq(&:first)
          unless in_order.last.first - in_order.first.first > Samples::STILL_S
            raise Invalid.new(:too_short, path: "/samples", seconds: Samples::STILL_S)
          end
          return new(plane: in_order, along: nil) if in_order.first.size < Plane::WHOLE

          in_order, axis = in_their_order(in_order)
          new(plane: Plane.reduced(in_order, axis), along: Plane.along(in_order, axis))
        end

        # Browsers name the three rates in two orders: about x, y, z, or about z, x, y. About the right axis gravity's
        # share does not change. Answers samples with rates about x, y, z, and their axis.
        def self.in_their_order(sent)
          as_told = Plane.axis(sent)
          other = sent.map { |at, x, y, z, *rates| [at, x, y, z, *rates.rotate(1)] }
          axis = Plane.axis(other)
          swing = [[sent, as_told], [other, axis]].map { |one, about| Plane.spread(Plane.along(one, about)) }
          swing.last < swing.first / 4 && swing.first > Samples::SWINGS_M_S2 ? [other, axis] : [sent, as_told]
        end

        # Many numbers, looked at once and quickly.
        def self.check(sent)
          size = sent.first.is_a?(Array) ? sent.first.size : nil
          raise Invalid.new(:ragged, path: "/samples/0") unless Samples::SIZES.include?(size)

          wrong =
            sent.index do |sample|
              !(
                sample.is_a?(Array) && sample.size == size &&
                  sample.all? { |one| one.is_a?(Numeric) && one.abs <= Samples::MOST }
              )
            end
          raise Invalid.new(:ragged, path: "/samples/#{wrong}") if wrong
        end
        private_class_method :check, :in_their_order

        def times = plane.map(&:first)

        # Of the phone, in the first seconds (deg/s): how far from still it was.
        def restless?
          rates = Plane.still(plane).map(&:last)
          middle = Plane.middle(rates)
          Plane.middle(rates.map { |rate| (rate - middle).abs }) > Tables[:motion][:still][:within_deg_s]
        end
      end

    # How many numbers a sample may have, every one as many.
    Samples::SIZES = [4, Plane::WHOLE].freeze
    # About a wrong axis gravity swings by more than this (SD, m/s2).
    Samples::SWINGS_M_S2 = 1.0
    # No sensor says more, and no clock in seconds.
    Samples::MOST = 1e12
    Samples::STILL_S = Tables[:motion][:still][:seconds]
  end
end
