# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # A seated leg curl that holds the shin instead of the thigh: nothing can press the kneecap, and the shin pad's mark is
      # recorded only. docs/model.md section 3.
      ShinHeldCurl = register(
        Curl.with(id: :shin_held_curl, constants: Curl.constants.except(*Curl.groups[:thigh_pad]), groups: Curl.groups.except(:thigh_pad),
                  findings: Curl.findings.reject { |_, group| group == :thigh_pad })
      )
    end
  end
end
