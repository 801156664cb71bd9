# frozen_string_literal: true

module Verglas
  module Store
    module Archive
      # What speaks of somebody's health is left out of a gym's archive unless it was asked for: cautions and limits
      # whole, of the rest what is told here.
      module Health
        SECTIONS = %i[cautions].freeze
        LEFT = {
          clients: %i[limits],
          client_rules: %i[reason],
          fittings: %i[signs trail flow note cue reason stop_sign],
          put_off: %i[reason],
          sessions: %i[left_out]
        }.freeze
        PARTS_LEFT = {
          result: %w[format grade],
          computed_from: %w[model readings mean_mm sd_mm machine advised advised_status],
          work: %w[load_kg left_kg right_kg repetitions sets last belt range_share],
          how: %w[last reached]
        }.freeze

        module_function

        # Rows that are nothing without it: an exercise that a stop sign ended.
        def rows(section, rows) = section.name == :fittings ? rows.exclude(state: "stopped") : rows

        # A set that sent somebody back still says that it did, not why; what a visit was stopped by is over with its
        # day.
        def without(section, record)
          kept = record.except(*LEFT.fetch(section.name, []))
          PARTS_LEFT.each { |name, parts| kept[name] = kept[name].slice(*parts) if kept[name].is_a?(Hash) }
          kept[:result] &&= { **kept[:result], "findings" => [] }
          kept[:how] = kept[:how].merge("held_back" => true) if kept[:sends_back]
          kept[:stopped] = false if kept.key?(:stopped)
          kept[:taken_back] = WITHHELD if kept[:state] == "taken_back"
          kept
        end
      end
    end
  end
end
