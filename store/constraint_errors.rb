# frozen_string_literal: true

require "pg"

module Verglas
  module Store
    # The database's own refusals as errors of the input, by constraint name: code and where in the input it stands.
    module ConstraintErrors
      TABLE = {
        clients_namesakes: [:namesake, "/detail"],
        client_name_length: [:wrong_form, "/name"],
        client_name_seen: [:unseen_sign, "/name"],
        machine_name_seen: [:unseen_sign, "/name"],
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
        machine_name_length: [:wrong_form, "/name"],
        machine_code_length: [:too_long, "/code"],
        machine_place_length: [:too_long, "/place"],
        gym_idle_range: [:out_of_range, "/idle_minutes"],
        gym_consent_text_length: [:too_long, "/consent_text"],
        client_consent_text_length: [:too_long, "/consent_text"],
        client_joined_into_another: [:joined_itself, "/other"],
        client_consent_whole: [:not_allowed, "/consent"],
        client_consent_withdrawn_after: [:not_allowed, "/consent"],
        machine_replaced_retired: [:not_allowed, "/replaced_by"],
        machine_replaced_by_another: [:not_allowed, "/replaced_by"],
        machine_state_known: [:not_allowed, "/state"],
        machine_words_length: [:too_long, ""],
        machine_slack_range: [:out_of_range, "/slack_from_deg"],
        machine_mass_limit_range: [:out_of_range, "/user_mass_limit_kg"],
        machine_least_age_range: [:out_of_range, "/least_age_years"],
        photograph_size: [:picture_size, "/jpeg_base64"],
        photograph_scaled: [:not_a_jpeg, "/jpeg_base64"],
        plate_mass_range: [:out_of_range, "/plates"],
        plate_pairs_range: [:out_of_range, "/plates"],
        gym_plates_pkey: [:mass_repeated, "/plates"],
        band_name_length: [:too_long, "/bands"],
        band_newton_range: [:out_of_range, "/bands"],
        gym_bands_pkey: [:repeated, "/bands"],
        band_newtons_differ: [:repeated, "/bands"],
        equipment_size_range: [:out_of_range, ""],
        gym_equipment_pkey: [:repeated, ""],
        gym_tempos_pkey: [:tempo_repeated, "/tempos"],
        tempo_slow_whole: [:tempo_half_said, "/tempos"],
        tempo_slow_range: [:tempo_all_slow, "/tempos"],
        aim_names_differ: [:aim_repeated, "/aims"],
        fitting_knee_off_range: [:out_of_range, "/knee_off_mm"],
        one_draft_a_client_and_exercise: [:draft_exists, ""]
      }.freeze

      # Values that no column takes: numbers past their digits, dates that are none, text that is none.
      VALUES = [
        PG::NumericValueOutOfRange,
        PG::InvalidTextRepresentation,
        PG::DatetimeFieldOverflow,
        PG::InvalidDatetimeFormat,
        PG::CharacterNotInRepertoire,
        PG::UntranslatableCharacter,
        PG::StringDataRightTruncation
      ].freeze

      # Runs the block; a refusal of the database becomes Invalid: the known constraints with what and where, any other
      # without. What is no refusal of a value stays what it is.
      def self.translate
        yield
      rescue Sequel::ConstraintViolation => e
        name = e.wrapped_exception.result&.error_field(PG::PG_DIAG_CONSTRAINT_NAME)
        code, path =
          TABLE.fetch(name.to_s.to_sym) { [:not_kept, ""].tap { warn("a value was refused by #{name || e.class}") } }
        raise Invalid.new(code, path: path)
      rescue Sequel::DatabaseError => e
        raise unless VALUES.any? { |kind| e.wrapped_exception.is_a?(kind) }

        raise Invalid, :not_kept
      end
    end
  end
end
