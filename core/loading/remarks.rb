# frozen_string_literal: true

module Verglas
  module Loading
    # What is worth saying of loads side by side. Working figures in core/data/loads.yml. docs/model.md section 11.
    module Remarks
      FIGURES = Tables[:loads][:figures]
      # share: the number compared; remarked: whether it is worth saying.
      Share = Struct.new(:share, :remarked)

      module_function

      # |L - R| over the larger; remarked where it is more than one step of the machine, and was at the visit before,
      # the same side the weaker. choices: its Stack or Plates, nil where nobody knows; before: [left, right] of that
      # visit, nil where there was none.
      def sides(left_kg, right_kg, choices = nil, before: nil)
        lighter, heavier = [left_kg, right_kg].minmax
        again = !before.nil? && (before[0] <=> before[1]) == (left_kg <=> right_kg)
        Share.new(
          (heavier - lighter) / heavier.to_f,
          again && [[left_kg, right_kg], before].all? { |pair| far_apart?(*pair.minmax, choices) }
        )
      end

      def far_apart?(lighter, heavier, choices)
        step = choices&.next_up(lighter)&.mass_kg || lighter
        (heavier - lighter) / heavier.to_f > FIGURES[:side_difference][:above_share] && heavier > step
      end
      private_class_method :far_apart?

      # The most (kg) that one leg takes of what both lift together.
      def one_leg_most_kg(both_kg) = FIGURES[:one_leg][:share] * both_kg

      # A curl beside an extension of the same client.
      def curl_to_extension(curl_kg, extension_kg)
        share = curl_kg / extension_kg.to_f
        low, high = FIGURES[:curl_to_extension].values_at(:low, :high)
        Share.new(share, share <= low || share >= high)
      end

      # Which actions are compared with one another.
      BESIDE = { knee_flexion: :knee_extension, knee_extension: :knee_flexion }.freeze

      # The load of one exercise of a station beside the other's, by the first one's joint action.
      def beside(action, load_kg, other_kg)
        curl_to_extension(*(action == :knee_flexion ? [load_kg, other_kg] : [other_kg, load_kg]))
      end

      # The load above which a belt is worn.
      def belt_from_kg(body_mass_kg) = FIGURES[:belt][:above_share_of_body_mass] * body_mass_kg

      # Whether a belt is worn: always by that school, or above a share of body mass; load or mass unknown: worn.
      def belt?(load_kg, body_mass_kg, always: false)
        always || load_kg.nil? || body_mass_kg.nil? || load_kg > belt_from_kg(body_mass_kg)
      end

      # Half the working load, or of that the share that a caution asks for (nil: all), rounded down to what the machine
      # can do; the lightest where that is more.
      def light_set(choices, working_kg, share_of_usual: nil)
        choices.at_most(FIGURES[:light_set][:share] * (share_of_usual || 1) * working_kg) || choices.lightest
      end
    end
  end
end
