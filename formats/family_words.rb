# frozen_string_literal: true

module Verglas
  module Formats
    # Whether there are words for all that a family declares: asked when the words are loaded, so that a family which
    # nobody can be told of does not load.
    module FamilyWords
      # {what the family has => message keys for each, %s its name}
      KEYS = {
        ->(family) { [family.id] } => %w[families.%s family_hints.%s],
        ->(family) { [family.purpose] } => %w[purposes.%s.title purposes.%s.says purposes.%s.muscles],
        ->(family) { family.constants.keys } => %w[constants.%s.title constants.%s.how],
        ->(family) { family.choosable_kinds.map(&:name) } =>
          %w[title label forwards backwards].map { |part| "adjuster_kinds.%s.#{part}" },
        lambda(&:decisions) => %w[title do look right].map { |part| "steps.%s.#{part}" },
        ->(family) { family.choices.each_value.reject(&:placed?).map(&:name) } =>
          %w[title owned hint lay advised].map { |part| "aids.%s.#{part}" } + %w[since.%s since.no_%s],
        ->(family) { family.choices.each_value.select(&:placed?).map(&:name) } =>
          %w[title stands less more named].map { |part| "aids.%s.#{part}" },
        ->(family) { family.choices.each_value.select(&:stage).map(&:name) } =>
          %w[title do look right].map { |part| "steps.%s.#{part}" },
        ->(family) { family.joints.keys } => %w[motions.%s],
        ->(family) { family.joints.each_value.select(&:held_deg).map(&:motion) } => %w[barred.posture_%s],
        ->(family) { family.findings.each_value.select(&:plane?).map(&:code) } => %w[targets.joints.%s],
        ->(family) { family.findings.keys } => %w[findings.%s.title disturbed.%s.more disturbed.%s.less],
        ->(family) { family.findings.each_value.flat_map(&:mends).flatten.compact.uniq } => %w[mends.%s],
        ->(family) { family.findings.each_value.flat_map(&:never).uniq } => %w[errors.%s set_up.%s],
        ->(family) { family.findings.each_value.reject { |kind| kind.by_hand.empty? }.map(&:code) } => %w[
          says.%s.by_hand
        ]
      }.freeze

      module_function

      # Raises ArgumentError with every key that is missing.
      def check!(families)
        gaps = families.flat_map { |family| keys(family) }.uniq.reject { |key| I18n.exists?(key) }
        raise ArgumentError, "config/messages needs #{gaps.join(", ")}" if gaps.any?
      end

      # All of a family's.
      def keys(family)
        KEYS.flat_map { |names, forms| names.call(family).product(forms).map { |name, form| format(form, name) } }
      end
    end
  end
end
