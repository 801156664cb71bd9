# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Extension and curl on one seat: the arm is re-pinned between the two. docs/model.md section 9.
      Combined = station(:combined, exercises: { "extension" => Extension, "curl" => Curl }, own: :arm)
    end
  end
end
