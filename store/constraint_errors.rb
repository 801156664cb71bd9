# frozen_string_literal: true

module Verglas
  module Store
    # The database's own refusals as errors of the input, by constraint name: code and where in the input it stands.
    module ConstraintErrors
      TABLE = {
        clients_namesakes: [:namesake, "/detail"],
        client_name_length: [:wrong_form, "/name"],
        client_name_not_blank: [:blank, "/name"],
        client_detail_length: [:too_long, "/detail"],
        client_sex_known: [:not_allowed, "/sex"],
        client_birth_date_plausible: [:too_small, "/birth_date"],
        client_body_mass_range: [:out_of_range, "/body_mass_kg"],
        reading_value_range: [:out_of_range, "/value"],
        stature_range: [:stature_out_of_range, "/value"],
        reading_observation_known: [:unknown_observation, "/observation"],
        machine_names_differ: [:machine_name_taken, "/name"],
        machine_codes_differ: [:machine_code_taken, "/code"],
        one_draft_a_client_and_exercise: [:draft_exists, ""]
      }.freeze

      # Runs the block; a known constraint's refusal becomes Invalid, anything else stays what it is.
      def self.translate
        yield
      rescue Sequel::ConstraintViolation => e
        name = e.wrapped_exception.result&.error_field(PG::PG_DIAG_CONSTRAINT_NAME)
        code, path = TABLE.fetch(name.to_s.to_sym) { raise e }
        raise Invalid.new(code, path: path)
      end
    end
  end
end
