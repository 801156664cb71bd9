# frozen_string_literal: true

module Verglas
  module Planning
    # Seconds that something takes, as a mean with its spread: the working figure weighs as much as so many times that
    # were measured (core/data/session.yml), and every measured one weighs as one.
    Learned =
      Value.define(:mean_s, :sd_s) do
        # A working figure, and how many times were measured, with their mean and their standard deviation (of the
        # population), seconds.
        def self.of(working_s, working_sd_s, count:, mean_s:, sd_s:)
          prior = Tables[:session][:times][:prior_count]
          whole = (prior + count).to_f
          apart = prior * count / whole * ((mean_s - working_s)**2)
          spread = (prior * (working_sd_s**2)) + (count * (sd_s**2)) + apart
          new(mean_s: ((prior * working_s) + (count * mean_s)) / whole, sd_s: Math.sqrt(spread / whole))
        end
      end
  end
end
