# frozen_string_literal: true

module Verglas
  module Loading
    # How two strengths of one person lie to one another, as far as their sets say. docs/model.md section 13
    #   share    of the one in the other, as it most likely is
    #   outside  how probable it is that it lies outside what is usual
    Balance =
      Value.define(:share, :outside) do
        # The curl in the extension. strength: Strength.
        def self.curl_to_extension(strength)
          low, high = Balance::FIGURES[:curl_to_extension].values_at(:low, :high)
          mean, variance = strength.difference(:knee_flexion, :knee_extension)
          new(share: Math.exp(mean), outside: outside(mean, variance, low, high))
        end

        # The left leg in the right one, both loads (kg) lifted hard and clean by themselves; before: [left, right] of
        # the visit before, nil where there was none.
        def self.sides(left_kg, right_kg, before: nil)
          visits = [[left_kg, right_kg], before].compact
          mean = visits.sum { |left, right| Math.log(left / right.to_f) } / visits.size
          most = 1 - Balance::FIGURES[:side_difference][:above_share]
          new(share: Math.exp(mean), outside: outside(mean, 2 * Balance::NOISE / visits.size, most, 1 / most))
        end

        def self.outside(mean, variance, low, high)
          1 - Statistics::Gaussian.between(Math.log(low), Math.log(high), mean: mean, sd: Math.sqrt(variance))
        end
        private_class_method :outside

        # Whether it is worth saying.
        def remarked? = outside >= Balance::FIGURES[:remarked][:from]
      end

    Balance::FIGURES = Tables[:loads][:figures]
    # Of one clean set's reading, ln(kg) squared.
    Balance::NOISE = Lifted::SET.then { |set| (set[:sd]**2) + ((set[:a_repetition] * set[:clean_in_hand_sd])**2) }
  end
end
