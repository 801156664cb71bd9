# frozen_string_literal: true

require "json"

module Verglas
  module Store
    # A whole gym as one JSON document, table by table, and back into a gym that holds nothing yet: the same bytes each
    # time. docs/formats/gym.md
    module Archive
      FORMAT = "verglas.gym"
      VERSION = 5
      # From which version on a list is there; an older archive is taken without it.
      SINCE = { tempos: 2, programmes: 3, sessions: 3, circles: 3, cues: 4, bands: 4 }.freeze
      # How long one statement may think on the way out.
      TAKEN_MS = 10 * 60 * 1000
      # What stands where a text has to be and is left out.
      WITHHELD = "left out"

      # name: of the member; table; order: in which its rows stand, so that those that are referred to come first; left:
      # columns that are made anew.
      Section =
        Struct.new(:name, :table, :order, :left) do
          # Of this gym; rows which hang on a machine or a client say so through it.
          def rows(gym)
            columns = gym.db[table].columns
            return gym.db[table].where(gym_id: gym.id) if columns.include?(:gym_id)

            owner = columns.include?(:client_id) ? %i[client_id clients] : %i[machine_id machines]
            gym.db[table].where(owner.first => gym.db[owner.last].where(gym_id: gym.id).select(:id))
          end

          # Columns in the order in which the table has them, sealed ones as they lie there.
          def columns(db) = db[table].columns - %i[gym_id version] - left
          def sealed = Sealed::FIELDS.fetch(table, {})
        end

      SECTIONS =
        [
          Section.new(:staff, :accounts, %i[email], %i[id status_id]),
          Section.new(:equipment, :gym_equipment, %i[kind size_mm], []),
          Section.new(:plates, :gym_plates, %i[mass_kg], []),
          Section.new(:bands, :gym_bands, %i[newton], []),
          Section.new(:aims, :gym_aims, %i[position], []),
          Section.new(:tempos, :gym_tempos, %i[family], []),
          Section.new(:cues, :gym_cues, %i[name about], []),
          Section.new(:rules, :gym_rules, %i[question], []),
          Section.new(:stricter_cautions, :gym_cautions, %i[caution], []),
          Section.new(:machines, :machines, %i[created_at id], []),
          Section.new(:machine_descriptions, :machine_descriptions, %i[machine_id number], []),
          Section.new(:photographs, :machine_photographs, %i[id], []),
          Section.new(:clients, :clients, %i[id], %i[search_name detail_digest rules_version]),
          Section.new(:readings, :readings, %i[client_id observation], []),
          Section.new(:client_rules, :client_rules, %i[client_id question], []),
          Section.new(:cautions, :client_cautions, %i[client_id id], %i[caution_digest]),
          Section.new(:fittings, :fittings, %i[id], []),
          Section.new(:visits, :visits, %i[id], []),
          Section.new(:sets, :sets, %i[visit_id number], []),
          Section.new(:programmes, :programmes, %i[id], []),
          Section.new(:sessions, :sessions, %i[id], []),
          Section.new(:circles, :circles, %i[id], []),
          Section.new(:queues, :machine_queues, %i[machine_id exercise], []),
          Section.new(:put_off, :refit_snoozes, %i[client_id machine_id exercise], []),
          Section.new(:nameless_fittings, :nameless_fittings, %i[id], %i[id])
        ].to_h { |section| [section.name, section] }.freeze

      # Of the gym's own row.
      GYM = %i[name locale address wall_names keep_years ask_again_months consent_text idle_minutes].freeze
    end
  end
end
