# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # How curl and extension lie to one another, in a sentence where that is worth saying.
      module Balance
        module_function

        # balance: Loading::Balance; nil where nothing is told.
        def says(balance)
          return unless balance&.remarked?

          low, high = Loading::Balance::FIGURES[:curl_to_extension].values_at(:low, :high)
          shares = { share: balance.share, low: low, high: high }.transform_values { |share| format("%.2f", share) }
          Formats::Words.say("loads.balance", **shares, chance: (balance.outside * 100).round)
        end
      end
    end
  end
end
