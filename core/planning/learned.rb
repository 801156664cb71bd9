# frozen_string_literal: true

module Verglas
  module Planning
    # How long something takes, in seconds or as a share of a working figure, as a mean with its spread: the working
    # figure weighs as much as so many times that were measured (core/data/session.yml), and every measured one weighs
    # as one.
    Learned =
      Value.define(:mean, :sd) do
        # A working figure, and how many times were measured, with their mean and their standard deviation (of the
        # population), in the working figure's unit.
        def self.of(working, working_sd, count:, mean:, sd:)
          prior = Tables[:session][:times][:prior_count]
          whole = (prior + count).to_f
          apart = prior * count / whole * ((mean - working)**2)
          spread = (prior * (working_sd**2)) + (count * (sd**2)) + apart
          new(mean: ((prior * working) + (count * mean)) / whole, sd: Math.sqrt(spread / whole))
        end
      end
  end
end
