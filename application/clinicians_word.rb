# frozen_string_literal: true

module Verglas
  module Application
    # What a clinician who is signed in says of a caution that stands: what is allowed, under their own name. All else
    # stays as it was written down.
    module CliniciansWord
      OWN = %i[cleared_on degrees named load_to_kg].freeze
      KEPT = %i[side joint since note].freeze

      module_function

      # fields: as typed; standing: the client's rows of store's cautions; name: the clinician's. Raises Invalid where
      # no such caution stands: a clinician clears, and writes no new one.
      def of(fields, caution, standing:, name:)
        row = standing.find { |one| one[:caution] == caution } or raise Invalid, :role_refused
        { **row.slice(*KEPT), **fields.slice(*OWN), cleared_by: fields[:cleared_on] ? name : "" }
      end
    end
  end
end
