# frozen_string_literal: true

module Verglas
  # A person as a distribution: parameters, tape readings, what is worth reading next. docs/model.md section 1.
  module Body
    # The names of the body's vector, in its order; every entry in millimetres.
    PARAMETERS = Tables[:body][:parameters].map { |row| row[:name] }.freeze

    # Maps {parameter => factor} to a dense row in the order of PARAMETERS.
    def self.row(factors) = PARAMETERS.map { |name| factors.fetch(name, 0).to_f }.freeze
  end
end
