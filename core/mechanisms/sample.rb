# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A machine of a family in the middle of what is usual, with one adjuster of every kind and two marks each: on it a
    # family is tried when it loads, and its lengths are shown where one is taped that nobody has taped yet.
    module Sample
      # Between its two marks, mm or degrees.
      TRAVEL = 10.0

      module_function

      def of(family)
        Machines::Machine.new(id: "", name: "", family: family, constants: middle(family), adjusters: kinds(family))
      end

      # One without adjusters, with some constants as they are known, and some of them longer by so much.
      def taped(family, known, longer = {})
        constants = { **middle(family), **known }
        constants = constants.merge(longer) { |_, old, by| old + by }
        Machines::Machine.new(id: "", name: "", family: family, constants: constants, adjusters: [])
      end

      # {constant => the middle of its usual range, or what holds where nobody taped it}
      def middle(family)
        family.constants.transform_values do |constant|
          constant.default || ((constant.usual.min + constant.usual.max) / 2.0)
        end
      end

      def kinds(family)
        family.kinds.each_value.map do |kind|
          Machines::Adjuster.new(
            label: kind.name.to_s,
            marks: %w[1 2],
            travel: [0.0, TRAVEL],
            drives: kind.drives,
            same_as: nil
          )
        end
      end
      private_class_method :middle, :kinds
    end
  end
end
