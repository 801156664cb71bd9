# frozen_string_literal: true

module Verglas
  module Planning
    # Seconds to set one machine up from marks at which it stands to others.
    #   adjusters  {label => [seconds to loosen and fix it, seconds a mark that it goes]}
    #   pin_s      for the pin or the plates, which are always set
    Changeover =
      Value.define(:adjusters, :pin_s) do
        # from, upto: {label => place of the mark}. One that either does not say is not moved. nil from: nobody knows
        # where it stands, so everything is set.
        def seconds(from, upto)
          pin_s +
            adjusters.sum do |label, (once_s, mark_s)|
              next 0 unless upto[label]
              next once_s if from.nil?

              marks = (upto[label] - (from[label] || upto[label])).abs
              marks.zero? ? 0 : once_s + (marks * mark_s)
            end
        end
      end
  end
end
