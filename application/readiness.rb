# frozen_string_literal: true

module Verglas
  module Application
    # What a client has shown on machines of one joint action, from the fittings that were accepted there, and the rung on which to begin on
    # this one. What a caution forbids is no rung.
    module Readiness
      # On which body weight is the load.
      FAMILIES = Machines::Families.all.select { |family| family.exercises.each_value.any? { |one| one.wishes.key?(:mass_kg) } }.map(&:id).freeze

      module_function

      # Guidance::Readiness; nil where the machine has no rungs.
      def of(meeting)
        return if meeting.machine.family.findings.empty?

        rungs = meeting.mechanics.rungs.reject { |rung| meeting.caution_effect.without.any? { |name| rung.wishes.fetch(name, 0.0).positive? } }
        Guidance::Readiness.new(rungs, visits(meeting), none_harder: meeting.caution_effect.wishes.key?(:angle_deg)) if rungs.any?
      end

      # What is aimed at for it, by the names of Wishes.
      def wishes(meeting) = of(meeting)&.today&.wishes.to_h

      # Latest first. How one went that nobody wrote down says nothing, unless a sign was seen.
      def visits(meeting)
        action = meeting.machine.family.action
        meeting.shown_efforts.filter_map { |row| visit(row) if Machines::Families.fetch(row[:family]).exercises[row[:exercise][/.+/]]&.action == action }
      end

      def visit(row)
        top_nm = row[:result].dig("quantities", "top_nm")
        last = row[:work]["last"]
        Guidance::Readiness::Visit.new(top_nm: top_nm, clean: %w[easy clean].include?(last) && row[:signs].empty?) if top_nm && (last || row[:signs].any?)
      end
      private_class_method :visits, :visit
    end
  end
end
