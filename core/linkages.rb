# frozen_string_literal: true

module Verglas
  # What several mechanisms share: legs closed between two ends, a roller on a limb, what weight asks of a joint. Pure
  # computation of bodies and lengths; no machine, no family, no sentence.
  module Linkages
    # m/s^2
    STANDARD_GRAVITY = Tables[:body][:gravity][:m_per_s2]
  end
end
